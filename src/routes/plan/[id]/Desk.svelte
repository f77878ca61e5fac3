<script lang="ts">
	import Hidden from '$lib/ui/primitives/Hidden.svelte';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import { beforeNavigate } from '$app/navigation';
	import { Autosave } from '$lib/client/saving/autosave.svelte';
	import { planForm } from '$lib/client/saving/documents';
	import { prefetchAfterLoad } from '$lib/client/page/prefetch';
	import { Copies } from '$lib/client/plan/copies';
	import { deskKey } from '$lib/client/plan/desk-keys';
	import { PlanDesk } from '$lib/client/plan/plan-desk';
	import { TypedAhead } from '$lib/client/plan/typed-ahead';
	import { dayName } from '$lib/core/calendar';
	import { formatDuration } from '$lib/core/clock';
	import { directionParts, phaseParts, strengthParts } from '$lib/core/view-models';
	import type { Movement } from '$lib/core/movement';
	import { itemsOf, type ClassPlan } from '$lib/core/plan';
	import { Button } from 'carbon-components-svelte';
	import CheckList from '$lib/ui/plan/CheckList.svelte';
	import Lazy from '$lib/ui/frame/Lazy.svelte';
	import LastTime from '$lib/ui/record/LastTime.svelte';
	import Bounded from '$lib/ui/frame/Bounded.svelte';
	import Conflict from '$lib/ui/saving/Conflict.svelte';
	import Gone from '$lib/ui/saving/Gone.svelte';
	import MovedOn from '$lib/ui/plan/MovedOn.svelte';
	import OrderActions from '$lib/ui/plan/OrderActions.svelte';
	import OrbitPanel from '$lib/ui/plan/OrbitPanel.svelte';
	import { PLAN_PANELS } from '$lib/ui/plan/panels';
	import PaceNotice from '$lib/ui/plan/PaceNotice.svelte';
	import PlanHead from '$lib/ui/plan/PlanHead.svelte';
	import RunningOrder from '$lib/ui/plan/RunningOrder.svelte';
	import ScoreStrip from '$lib/ui/plan/ScoreStrip.svelte';
	import ScoreView from '$lib/ui/plan/ScoreView.svelte';
	import { onMount, tick, untrack } from 'svelte';
	import type { ActionData, PageData } from './$types';

	let { data, form }: { data: PageData; form: ActionData } = $props();

	// one desk for the life of the page: what comes from the server later goes through its history
	const { stored, groupId, context, owner } = untrack(() => data);
	const usedLately = context.usedLately;
	const autosave: Autosave<ClassPlan> = new Autosave(
		`/api/plans/${stored.id}`,
		{ version: stored.version },
		owner,
		planForm((slug) => doc.catalogue.find(slug))
	);
	const desk = new PlanDesk(stored.plan, context, autosave);
	const {
		document: doc,
		session,
		selection,
		items,
		blocks,
		repairs,
		fitting,
		ordering,
		proposals,
		changes,
		alternatives
	} = desk;

	const copies = new Copies(stored, (sentence) => (session.message = sentence));

	let adding = $state(false);
	const typedAhead = new TypedAhead();
	let keys = $state(false);
	let scoreSheet = $state<HTMLElement>();
	/** The room sheet leads here. */
	let hereOpen = $state(false);
	onMount(() => {
		hereOpen = location.hash === '#here';
		return prefetchAfterLoad(PLAN_PANELS);
	});
	let asking = $state(false);
	let changing = $state(false);
	let settling = $state(false);

	onMount(async () => {
		const kept = await autosave.recover();
		if (kept) session.replace(kept);
	});
	beforeNavigate(() => autosave.flush());

	function toggleAdd() {
		if (adding) return void closeAdd();
		typedAhead.begin();
		adding = true;
	}
	const finder = () =>
		PLAN_PANELS.add().catch((error) => {
			typedAhead.release();
			throw error;
		});

	async function toSelected() {
		await tick();
		if (selection.selected) document.getElementById(`row-${selection.selected}`)?.focus();
	}

	function leaveChange() {
		changing = false;
		changes.leave();
	}

	async function closeAdd() {
		typedAhead.release();
		adding = false;
		await toSelected();
	}

	function onkeydown(event: KeyboardEvent) {
		if (!inField(event.target) && typedAhead.hold(event)) {
			event.preventDefault();
			return;
		}
		const act = deskKey(event, desk, {
			add: toggleAdd,
			propose: () => (asking = true),
			change: () => (changing = doc.analysis.context.items.length > 0),
			keys: () => (keys = true)
		});
		if (!act) return;
		event.preventDefault();
		if (act === 'moved') void toSelected();
	}

	const inField = (target: EventTarget | null) =>
		target instanceof HTMLElement && target.closest('input, textarea, select') !== null;

	/** Blocks go to the clipboard as text, unless text itself is being copied. */
	function clip(event: ClipboardEvent, take: () => string | null) {
		if (inField(event.target) || !document.getSelection()?.isCollapsed) return;
		const text = take();
		if (text === null) return;
		event.clipboardData?.setData('text/plain', text);
		event.preventDefault();
	}

	function onpaste(event: ClipboardEvent) {
		if (inField(event.target)) return;
		event.preventDefault();
		blocks.paste(event.clipboardData?.getData('text/plain') ?? '');
		void toSelected();
	}

	async function duplicate() {
		const address = await copies.duplicate(doc.plan);
		if (address) location.assign(address);
	}

	async function settle(take: 'mine' | 'theirs') {
		const theirs = autosave.theirs;
		if (!theirs) return;
		settling = true;
		if (await copies.keepOther(take === 'mine' ? theirs.document : doc.plan)) {
			if (take === 'mine') autosave.keepMine(doc.plan);
			else session.replace(autosave.takeTheirs(doc.plan) ?? doc.plan);
			session.message = 'The other version is kept as a separate plan on the same day';
		}
		settling = false;
	}

	const inShort = (name: string, plan: ClassPlan) => ({
		name,
		lines: [
			plan.title || 'Untitled class',
			`${itemsOf(plan).length} items, ${formatDuration(plan.lengthSeconds)} asked for`
		]
	});
</script>

<svelte:head><title>{doc.plan.title || 'Untitled class'} · Humble Orbit</title></svelte:head>
<svelte:document
	oncopy={(e) => clip(e, () => blocks.copy())}
	oncut={(e) => clip(e, () => blocks.cut())}
	{onpaste}
/>
<svelte:window
	{onkeydown}
	ononline={() => autosave.flush()}
	onfocus={() => autosave.flush()}
	onbeforeunload={() => autosave.flush()}
/>

<Bounded what="The head of the class" shows={doc.plan} onundo={() => session.undo()}>
	<PlanHead
		{doc}
		{fitting}
		{autosave}
		{groupId}
		groupName={context.group.name}
		series={data.series}
		planId={stored.id}
		day={stored.plannedOn ? dayName(stored.plannedOn) : ''}
		totalParts={() => phaseParts(doc.analysis.timeline)}
		onkeys={() => (keys = true)}
		onduplicate={duplicate}
		ontemplate={() => void copies.keepAsTemplate(doc.plan)}
	/>
</Bounded>

{#if data.lastTime}<LastTime last={data.lastTime} />{/if}
{#if data.learnedSince}
	<PaceNotice
		planId={stored.id}
		at={data.learnedSince}
		totalSeconds={doc.analysis.timeline.totalSeconds}
		lengthSeconds={doc.plan.lengthSeconds}
		busy={fitting.busy}
		onfit={() => void fitting.fit()}
	/>
{/if}
{#if autosave.state === 'conflict' && autosave.theirs}
	<Conflict
		what="This class"
		mine={inShort('In this window', doc.plan)}
		theirs={inShort('From the other window', autosave.theirs.document)}
		kept="The version that you do not choose is kept as a separate plan on the same day."
		busy={settling}
		onmine={() => settle('mine')}
		ontheirs={() => settle('theirs')}
	/>
{/if}

{#if autosave.state === 'gone'}
	<Gone what="This class" keep={() => copies.keepAsNew(doc.plan)} onkept={() => autosave.settled()} />
{/if}

<Bounded what="What has moved on" shows={doc.plan}>
	{#if doc.moved.length}
		<MovedOn moved={doc.moved} ontake={(moved) => doc.remake(moved)} />
	{/if}
</Bounded>

<section class="sheet score" aria-label="Score" bind:this={scoreSheet}>
	<Bounded what="The score" shows={doc.plan}>
		<ScoreView
			score={doc.score}
			selected={selection.selected}
			marked={selection.marked}
			onselect={(id, event) => {
				if (event.shiftKey || event.ctrlKey || event.metaKey)
					selection.mark(id, event.shiftKey ? 'to here' : 'this too');
				else selection.select(id);
				void toSelected();
			}}
			ondrop={(id, second) => {
				blocks.dropAt(id, second);
				void toSelected();
			}}
			onstretch={(id, seconds) => items.dragDose(id, seconds)}
		/>
	</Bounded>
</section>

<ScoreStrip sheet={scoreSheet} score={doc.score} />

<div class="desk">
	<section class="sheet order" aria-labelledby="order-title">
		<header>
			<h2 id="order-title">Running order</h2>
			<OrderActions
				isEmpty={doc.analysis.context.items.length === 0}
				isOrdering={ordering.work !== null}
				onadd={toggleAdd}
				onpropose={() => (asking = true)}
				onchange={() => (changing = true)}
				ontalk={() => blocks.addTalk()}
				ontest={() => blocks.addTest()}
				onorder={() => void ordering.look()}
			/>
		</header>
		<Bounded what="This panel" shows={doc.plan}>
			{#if asking}
				<Lazy load={PLAN_PANELS.propose} props={{ doc, proposals, onleave: () => (asking = false) }} />
			{/if}
			{#if changing}
				<Lazy load={PLAN_PANELS.change} props={{ changes, onleave: leaveChange }} />
			{/if}
			{#if ordering.work || ordering.found}
				<Lazy load={PLAN_PANELS.calm} props={{ ordering }} />
			{/if}
			{#if adding}
				<Lazy
					load={finder}
					props={{
						movements: doc.catalogue.offered,
						group: context.group,
						usedLately,
						typedAhead,
						onadd: (movement: Movement) => {
							items.add(movement);
							void closeAdd();
						},
						onleave: closeAdd
					}}
				/>
			{/if}
		</Bounded>
		{#if doc.analysis.context.items.length === 0 && !adding}
			<p class="start">
				An empty class. <Button kind="tertiary" size="small" on:click={toggleAdd}
					>Add the first movement</Button
				>: press A, type a few letters, press Enter. Or let one be
				<Button kind="tertiary" size="small" on:click={() => (asking = true)}>proposed</Button>.
			</p>
		{/if}
		<Bounded what="The running order" shows={doc.plan}
			><RunningOrder {doc} {selection} {items} {blocks} {alternatives} /></Bounded
		>
	</section>
	<aside>
		<div class="sheet">
			<Bounded what="The orbit" shows={doc.plan}>
				<OrbitPanel
					ring={doc.ring}
					balance={doc.analysis.balance}
					together={doc.together}
					partsOf={(direction) => directionParts(doc.analysis, direction)}
					strengthParts={() => strengthParts(doc.analysis)}
					theme={doc.plan.theme ?? ''}
					ontheme={(theme) =>
						doc.edit({ do: 'setPlan', change: { theme } }, theme ? `About ${theme}` : 'No theme')}
				/>
			</Bounded>
		</div>
		<div class="sheet">
			<Bounded what="What the desk says" shows={doc.plan}>
				<CheckList
					{doc}
					{repairs}
					{items}
					ongo={(id) => {
						selection.select(id);
						void toSelected();
					}}
				/>
			</Bounded>
		</div>
	</aside>
</div>

<Fold title="Who is here today" bind:open={hereOpen}>
	<Lazy load={PLAN_PANELS.here} props={{ doc }} />
</Fold>

<Fold title="Style and pace of this class">
	<Lazy load={PLAN_PANELS.pace} props={{ desk, usual: data.usual.choices, pace: context.pace }} />
</Fold>

<form class="remove" method="POST" action="?/delete">
	<Hidden name="version" value={autosave.savedVersion} />
	<Button size="small" kind="ghost" type="submit" disabled={autosave.state !== 'saved'}>
		Remove this class
	</Button>
	{#if form?.message}<span role="alert">{form.message}</span>{/if}
</form>

{#if keys}<Lazy load={PLAN_PANELS.keys} props={{ onleave: () => (keys = false) }} />{/if}

<style>
	.score {
		position: relative;
		padding: 0.6rem 0.75rem 0.3rem;
		margin-bottom: 1rem;
	}
	.desk {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 21.5rem;
		gap: 1rem;
		align-items: start;
	}
	aside {
		display: grid;
		gap: 1rem;
		position: sticky;
		top: 0.75rem;
	}
	.order {
		padding: 0.9rem 0.75rem;
	}
	header {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem;
		justify-content: space-between;
		align-items: center;
		padding: 0 0.5rem 0.5rem;
	}
	.remove {
		margin-top: 1rem;
		display: flex;
		gap: 1rem;
		align-items: center;
	}
	.start {
		padding: 1rem 0.5rem;
	}
	@media (max-width: 64rem) {
		.desk {
			grid-template-columns: 1fr;
		}
		aside {
			position: static;
		}
	}
</style>
