<script lang="ts">
	import IconButton from '$lib/ui/fields/IconButton.svelte';
	import Words from '$lib/ui/fields/Words.svelte';
	import TimeField from '$lib/ui/fields/TimeField.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import { roomTime } from '$lib/core/calendar';
	import { needsAttention } from '$lib/core/checks';
	import type { Autosave } from '$lib/client/saving/autosave.svelte';
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Fitting } from '$lib/client/plan/fitting.svelte';
	import { clockTime, formatDuration, chancePercent } from '$lib/core/clock';
	import type { RowSegment } from '$lib/core/view-models';
	import {
		LENGTH_MINUTES,
		lengthOfMinutes,
		minutesOfLength,
		PLAN_LIMITS,
		type ClassPlan
	} from '$lib/core/plan';
	import { Button } from 'carbon-components-svelte';
	import Keyboard from 'carbon-icons-svelte/lib/Keyboard.svelte';
	import Redo from 'carbon-icons-svelte/lib/Redo.svelte';
	import Undo from 'carbon-icons-svelte/lib/Undo.svelte';
	import SeverityMark from '../chart/SeverityMark.svelte';
	import SaveMark from '../saving/SaveMark.svelte';
	import Why from '../chart/Why.svelte';

	interface Props {
		doc: PlanDocument;
		fitting: Fitting;
		autosave: Autosave<ClassPlan>;
		planId: string;
		groupId: string;
		groupName: string;
		/** The series that it is a class of. */
		series: { id: string; title: string } | null;
		/** The day in words; empty while it has none. */
		day: string;
		totalParts: () => RowSegment[];
		onkeys: () => void;
		onduplicate: () => void;
		ontemplate: () => void;
	}
	let {
		doc,
		fitting,
		autosave,
		planId,
		groupId,
		groupName,
		series,
		day,
		totalParts,
		onkeys,
		onduplicate,
		ontemplate
	}: Props = $props();

	const total = $derived(doc.analysis.timeline.totalSeconds);
	const found = $derived(doc.analysis.findings.filter(needsAttention));
	const room = $derived(
		doc.context.group.changeover &&
			roomTime({
				startsAt: doc.plan.startsAt,
				lengthSeconds: doc.plan.lengthSeconds,
				changeover: doc.context.group.changeover
			})
	);
	const off = $derived(total - doc.plan.lengthSeconds);

	function setMinutes(minutes: number | null) {
		const lengthSeconds = lengthOfMinutes(minutes ?? 0);
		if (lengthSeconds !== null)
			doc.edit({ do: 'setPlan', change: { lengthSeconds } }, `Length ${formatDuration(lengthSeconds)}`);
	}
</script>

<header class="head">
	<div class="name">
		<h1 class="visually-hidden">{doc.plan.title || 'Untitled class'}</h1>
		<div class="title">
			<Words
				hideLabel
				label="Title of the class"
				placeholder="Untitled class"
				most={PLAN_LIMITS.titleCharacters}
				value={doc.plan.title}
				oninput={(title) => doc.edit({ do: 'setPlan', change: { title } }, '', 'title')}
			/>
		</div>
		<p class="quiet">
			<a href="/group/{groupId}">{groupName}</a>{#if series}, <a href="/series/{series.id}">{series.title}</a
				>{/if}{day ? `, ${day}` : ''}{#if room}, room {room.from}–{room.to}{/if}
		</p>
		<div class="when">
			<TimeField
				label="Starts"
				value={doc.plan.startsAt}
				onpick={(startsAt) => doc.edit({ do: 'setPlan', change: { startsAt } }, `Starts at ${startsAt}`)}
			/>
			<NumberField
				narrow
				label="Target minutes"
				least={LENGTH_MINUTES.least}
				most={LENGTH_MINUTES.most}
				value={minutesOfLength(doc.plan.lengthSeconds)}
				onchange={setMinutes}
			/>
			<p>ends <b>{clockTime(doc.plan.startsAt, total)}</b></p>
		</div>
	</div>
	<div class="total">
		<p class="hero" class:off={off !== 0} data-testid="total">
			<Why label="Total time" parts={totalParts} align="end">{formatDuration(total)}</Why>
		</p>
		<p class="quiet">
			{off === 0
				? 'exact to the second'
				: off > 0
					? `${formatDuration(off)} over`
					: `${formatDuration(-off)} free`}
		</p>
		{#if total > 0}
			<p class="quiet">
				<Why
					label="When it is likely to end"
					align="end"
					parts={() => [
						{ label: '80 % end between this', seconds: doc.spread.likelyFromSeconds },
						{ label: 'and this', seconds: doc.spread.likelyToSeconds }
					]}
					>80 % end between {clockTime(doc.plan.startsAt, doc.spread.likelyFromSeconds)} and {clockTime(
						doc.plan.startsAt,
						doc.spread.likelyToSeconds
					)}</Why
				><br />
				{chancePercent(doc.spread.onTime)} % chance of ending on time
			</p>
		{/if}
	</div>
	<div class="do">
		<Button size="field" disabled={fitting.busy || off === 0} on:click={() => void fitting.fit()}>
			Fit to {formatDuration(doc.plan.lengthSeconds)}
		</Button>
		<div class="tools">
			<IconButton
				label="Undo"
				icon={Undo}
				size="field"
				disabled={!doc.session.canUndo}
				onpress={() => doc.session.undo()}
			/>
			<IconButton
				label="Redo"
				icon={Redo}
				size="field"
				disabled={!doc.session.canRedo}
				onpress={() => doc.session.redo()}
			/>
			<IconButton label="Keys" icon={Keyboard} size="field" onpress={onkeys} />
		</div>
	</div>
</header>
<div class="out">
	<p class="checks">
		{#if found.length}
			<SeverityMark severity={found[0]?.severity ?? 'note'} />
			<a href="#checks-title">{found.length} to fix</a>
		{:else if doc.analysis.context.items.length}
			<span class="ready">Ready to teach</span>
		{/if}
	</p>
	<SaveMark state={autosave.state} faults={autosave.faults} kept={autosave.kept} />
	<p class="links">
		{#if doc.analysis.context.items.length}
			<Button href="/teach?plan={planId}" kind="tertiary" size="small">Teach</Button>
		{/if}
		<a href="/plan/{planId}/print">Class card</a>
		<a href="/plan/{planId}/room">Room sheet</a>
		<a href="/plan/{planId}/people">Each person</a>
		<a href="/plan/{planId}/taught">How it went</a>
		<a href="/plan/{planId}/compare">Compare</a>
		<a href="/plan/{planId}/file" download>Save as file</a>
		<Button kind="ghost" size="small" on:click={onduplicate}>Duplicate</Button>
		<Button kind="ghost" size="small" on:click={ontemplate}>Save as template</Button>
	</p>
</div>
<p class="message" role="status" aria-live="polite">
	{doc.session.message ||
		autosave.said ||
		(autosave.recovered
			? 'Changes that had not reached the server were found in this browser and are back'
			: '')}
</p>

<style>
	.head {
		display: flex;
		align-items: start;
		gap: 0.75rem 1.5rem;
		flex-wrap: wrap;
	}
	.name {
		flex: 1;
		min-width: min(100%, 18rem);
		display: grid;
		gap: 0.35rem;
	}
	.title :global(.bx--text-input) {
		height: 2.6rem;
		padding: 0 0.6rem;
		border-color: transparent;
		background: none;
		font-size: var(--text-xl);
		font-weight: 650;
	}
	.title :global(.bx--text-input:is(:hover, :focus)) {
		border-color: var(--line-strong);
		background: var(--sheet);
	}
	.name > .quiet,
	.when {
		padding-left: 0.6rem;
	}
	.when {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 0 1rem;
	}
	.when :global(.bx--form-item) {
		flex: none;
	}
	.when p {
		line-height: 2rem;
	}
	.total {
		text-align: right;
		padding-top: 0.4rem;
	}
	.hero {
		font-size: var(--text-hero);
		font-weight: 650;
		line-height: 1;
		margin-bottom: 0.3rem;
		color: var(--good);
	}
	.hero.off {
		color: var(--ink);
	}
	.do {
		display: grid;
		justify-items: end;
		gap: 0.25rem;
	}
	.tools {
		display: flex;
	}
	.out {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0 1.25rem;
		margin-top: 0.4rem;
		padding-left: 0.6rem;
		font-size: var(--text-s);
	}
	.ready {
		color: var(--good);
		font-weight: 600;
	}
	.links {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0 1rem;
		margin-left: auto;
	}
	.checks a {
		margin-left: 0.4rem;
	}
	.message {
		min-height: 1.3rem;
		margin: 0.1rem 0 0.5rem;
		padding-left: 0.6rem;
		font-size: var(--text-s);
		color: var(--accent);
		font-weight: 600;
	}
	@media (max-width: 40rem) {
		.total {
			text-align: left;
			padding-left: 0.6rem;
		}
		.links {
			margin-left: 0;
		}
	}
</style>
