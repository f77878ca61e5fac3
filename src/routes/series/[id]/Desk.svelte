<script lang="ts">
	import { create } from '$lib/client/api';
	import { Autosave } from '$lib/client/saving/autosave.svelte';
	import { letterKeys } from '$lib/client/page/letter-keys.svelte';
	import { newId } from '$lib/client/page/ids';
	import { SeriesDesk } from '$lib/client/series/series-desk.svelte';
	import { dayName } from '$lib/core/calendar';
	import { seriesForm } from '$lib/client/saving/documents';
	import { seriesAsSent, withNewIds, type LadderOffer, type SeriesDocument } from '$lib/core/series';
	import KeepSaved from '$lib/ui/saving/KeepSaved.svelte';
	import Ring from '$lib/ui/chart/Ring.svelte';
	import SaveMark from '$lib/ui/saving/SaveMark.svelte';
	import Bounded from '$lib/ui/frame/Bounded.svelte';
	import { onVisible } from '$lib/client/page/when-visible';
	import { prefetchAfterLoad } from '$lib/client/page/prefetch';
	import Lazy from '$lib/ui/frame/Lazy.svelte';
	import { SERIES_PANELS } from '$lib/ui/series/panels';
	import SeriesFindings from '$lib/ui/series/SeriesFindings.svelte';
	import SeriesWeeks from '$lib/ui/series/SeriesWeeks.svelte';
	import { Button } from 'carbon-components-svelte';
	import { onMount, tick, untrack } from 'svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	// one desk for the life of the page: what comes from the server later goes through its history
	const { stored, context, group, owner } = untrack(() => data);
	const autosave: Autosave<SeriesDocument> = new Autosave(
		`/api/series/${stored.id}`,
		{ version: stored.version, planVersions: stored.planVersions },
		owner,
		seriesForm((slug) => desk.find(slug))
	);
	const desk = new SeriesDesk(stored.planned, stored.runVersions, context, autosave);

	onMount(() => prefetchAfterLoad(SERIES_PANELS));

	/** The charts stand below the weeks: they are worked out and drawn when the page is scrolled to them. */
	const CHARTS_AHEAD_PIXELS = 150;
	let chartsSeen = $state(false);
	let settings = $state(false);
	/** Nothing is planned yet: the first questions come first. */
	const isNew = $derived(Object.keys(desk.planned.plans).length === 0);
	let seed = $state(1);

	const inShort = ({ series, plans }: SeriesDocument) => [
		series.title,
		`${series.weeks} weeks, ${series.classes.length} classes, ${Object.keys(plans).length} of them planned`
	];
	/** The series was removed in another window: as a new one, with its classes, it can go on. */
	async function keepAsNew(document: SeriesDocument): Promise<string | null> {
		const answer = await create<{ id: string }>('/api/series', {
			groupId: stored.groupId,
			planned: seriesAsSent(withNewIds({ ...document, runs: {} }, newId))
		});
		return answer.ok ? `/series/${answer.value.id}` : null;
	}

	async function go(step: -1 | 1) {
		desk.selectNeighbour(step);
		await tick();
		if (desk.selected) document.getElementById(`class-${desk.selected}`)?.focus();
	}

	/** Where the panel of the class stands below the weeks, it comes into sight. */
	async function select(id: string) {
		desk.selected = desk.selected === id ? null : id;
		await tick();
		if (desk.selected && matchMedia('(max-width: 64rem)').matches)
			document.getElementById('class-title')?.scrollIntoView();
	}

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement | null;
		if (target?.closest('input, textarea, select, [role="dialog"]')) return;
		const control = event.ctrlKey || event.metaKey;
		if (control && event.key === 'z' && !event.shiftKey) desk.session.undo();
		else if (control && (event.key === 'y' || event.key === 'z' || event.key === 'Z')) desk.session.redo();
		else if (control || event.altKey || letterKeys.ignores(event)) return;
		else if (event.key === 'ArrowRight') void go(1);
		else if (event.key === 'ArrowLeft') void go(-1);
		else if (event.key === 'g') void desk.propose('waiting', seed);
		else if (event.key === 's') settings = !settings;
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>{desk.series.title || 'A series'} · Humble Orbit</title></svelte:head>
<svelte:window {onkeydown} />

<div class="head">
	<Bounded what="The ring" shows={desk.planned}>
		<Ring sectors={desk.ring} size={64} label="Balance of the whole series" />
	</Bounded>
	<div class="title">
		<h1>{desk.series.title || 'A series without a title'}</h1>
		<p class="quiet">
			<a href="/group/{group.id}">{group.name}</a>
			{#if desk.series.goal}<span>· {desk.series.goal}</span>{/if}
		</p>
	</div>
	<div class="acts">
		<Button kind="tertiary" size="small" disabled={!desk.session.canUndo} on:click={() => desk.session.undo()}
			>Undo</Button
		>
		<Button kind="tertiary" size="small" disabled={!desk.session.canRedo} on:click={() => desk.session.redo()}
			>Redo</Button
		>
		<Button
			kind="tertiary"
			size="small"
			aria-expanded={settings}
			aria-controls="settings"
			on:click={() => (settings = !settings)}>Settings <kbd>S</kbd></Button
		>
		<Button kind="tertiary" size="small" role="link" href="/series/{stored.id}/print"
			>Printable schedule</Button
		>
		<Bounded what="Proposing" shows={desk.planned}>
			{#if desk.proposing}
				<Button size="small" kind="danger-tertiary" on:click={() => desk.proposing?.stop()}>
					Stop, {desk.proposing.done} of {desk.proposing.of} done
				</Button>
			{:else if desk.waiting && (!isNew || settings)}
				<Button size="small" on:click={() => desk.propose('waiting', seed)}>
					Propose {desk.waiting === 1 ? 'the open class' : `the ${desk.waiting} open classes`}
				</Button>
			{:else if desk.renewable && !isNew}
				<Button
					size="small"
					kind="tertiary"
					on:click={() => {
						seed += 1;
						void desk.propose('all', seed);
					}}
				>
					Propose all again
				</Button>
			{/if}
		</Bounded>
		<SaveMark state={autosave.state} faults={autosave.faults} kept={autosave.kept} />
	</div>
</div>
{#if desk.proposing}
	<progress max={desk.proposing.of} value={desk.proposing.done} aria-label="Classes proposed"></progress>
{/if}
<p class="said" role="status">{desk.session.message}</p>
{#if form?.message}<p class="wrong" role="alert">{form.message}</p>{/if}

<KeepSaved
	{autosave}
	mine={desk.document}
	what="This series"
	{inShort}
	ontake={(other) => desk.session.replace(other)}
	onkeep={keepAsNew}
/>

{#if desk.pending}
	<Lazy
		load={SERIES_PANELS.pending}
		props={{
			pending: desk.pending,
			ontake: (after) => desk.take(after),
			onleave: () => (desk.pending = null)
		}}
	/>
{/if}

{#if settings}
	<section id="settings" class="sheet block" aria-label="Settings of the series">
		<Bounded what="The settings" shows={desk.planned}
			><Lazy load={SERIES_PANELS.settings} props={{ desk }} /></Bounded
		>
	</section>
{:else if isNew}
	<section class="sheet block" aria-labelledby="start">
		<Bounded what="The beginning" shows={desk.planned}>
			<Lazy
				load={SERIES_PANELS.start}
				props={{
					desk,
					onpropose: () => void desk.propose('waiting', seed),
					onsettings: () => (settings = true)
				}}
			/>
		</Bounded>
	</section>
{/if}

<div class="desk">
	<div class="main">
		<div class="weeks">
			<Bounded what="The weeks" shows={desk.planned}>
				<SeriesWeeks
					weeks={desk.weeks}
					selected={desk.selected}
					onselect={select}
					onmove={(id, on) => {
						const startsAt = desk.series.classes.find((c) => c.id === id)?.startsAt;
						if (startsAt) desk.move(id, { on, startsAt });
					}}
				/>
			</Bounded>
			{#if desk.series.missed.length}
				<p class="quiet missed">
					Cancelled: {desk.series.missed
						.map(({ on, why }) => (why ? `${dayName(on)} (${why})` : dayName(on)))
						.join(', ')}
				</p>
			{/if}
		</div>
		{#if !isNew}<div class="charts" {@attach onVisible(() => (chartsSeen = true), CHARTS_AHEAD_PIXELS)}>
				{#if chartsSeen}
					<Bounded what="The charts" shows={desk.planned}>
						<Lazy
							load={SERIES_PANELS.charts}
							props={{
								ladders: desk.ladders,
								load: desk.load,
								balance: desk.balance,
								tissues: desk.tissues,
								tests: data.tests,
								offers: desk.ladderOffers,
								ontake: (offer: LadderOffer) => desk.takeOffer(offer),
								groupId: data.group.id,
								test: desk.series.retest.test
							}}
						/>
					</Bounded>
				{/if}
			</div>{/if}
	</div>
	<aside>
		<Bounded what="This class" shows={desk.planned}>
			{#if desk.class && desk.card}
				{#key desk.class.class}
					<Lazy
						load={SERIES_PANELS.class}
						props={{
							card: desk.card,
							read: desk.class,
							movements: desk.inClass,
							busy: desk.proposing !== null,
							onlog: (notes) => void desk.log(notes),
							onmove: (on, startsAt) => desk.move(desk.selected!, { on, startsAt }),
							oncanceldate: (why) => desk.cancelDate(why),
							onrenew: () => {
								seed += 1;
								void desk.propose({ classId: desk.selected! }, seed);
							},
							onfit: () => desk.bringToLength()
						}}
					/>
				{/key}
			{/if}
		</Bounded>
		<Bounded what="What is to be said of the series" shows={desk.planned}>
			<SeriesFindings
				findings={desk.findings}
				onselect={(id) => {
					desk.selected = null;
					void select(id);
				}}
			/>
		</Bounded>
		<Lazy
			load={SERIES_PANELS.more}
			props={{
				id: stored.id,
				version: autosave.savedVersion,
				linked: data.stored.linked,
				link: form?.link ?? null,
				groups: data.groups,
				others: data.others,
				today: data.today
			}}
		/>
	</aside>
</div>

<style>
	.head {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.75rem 1rem;
	}
	.title {
		flex: 1 1 16rem;
		min-width: 0;
	}
	.title p {
		overflow-wrap: anywhere;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
	}
	progress {
		width: 100%;
		accent-color: var(--accent);
	}
	.said {
		min-height: 1.4em;
		margin: 0.3rem 0;
		font-size: var(--text-s);
		color: var(--ink-soft);
	}
	.wrong {
		color: var(--stop);
		font-weight: 600;
	}
	.block {
		margin-bottom: 1rem;
	}
	.desk {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 21rem;
		gap: 1rem;
		align-items: start;
	}
	.charts {
		min-height: 20rem;
	}
	.missed {
		margin-top: 0.6rem;
	}
	aside {
		display: grid;
		gap: 1rem;
		min-width: 0;
	}
	@media (max-width: 64rem) {
		.desk {
			grid-template-columns: minmax(0, 1fr);
		}
		/* the selected class comes right after the weeks, the charts last */
		.main {
			display: contents;
		}
		.charts {
			order: 1;
		}
	}
</style>
