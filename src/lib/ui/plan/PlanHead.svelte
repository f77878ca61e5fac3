<script lang="ts">
	import { roomTime } from '$lib/core/calendar';
	import { needsAttention } from '$lib/core/checks';
	import type { Autosave } from '$lib/client/autosave.svelte';
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Fitting } from '$lib/client/plan/fitting.svelte';
	import { clockTime, formatDuration, readTime, timesOutOfTen, wholeMinutes } from '$lib/core/clock';
	import type { Part } from '$lib/core/view-models';
	import { lengthOfMinutes, minutesOfLength, PLAN_LIMITS, type ClassPlan } from '$lib/core/plan';
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
		totalParts: () => Part[];
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
		doc.setting.group.changeover &&
			roomTime({
				startsAt: doc.plan.startsAt,
				lengthSeconds: doc.plan.lengthSeconds,
				changeover: doc.setting.group.changeover
			})
	);
	const off = $derived(total - doc.plan.lengthSeconds);

	function setMinutes(input: HTMLInputElement) {
		const lengthSeconds = lengthOfMinutes(input.valueAsNumber);
		if (lengthSeconds !== null)
			doc.edit({ do: 'setPlan', change: { lengthSeconds } }, `Length ${formatDuration(lengthSeconds)}`);
		else {
			doc.session.message = 'A class lasts from 1 to 240 minutes';
			input.valueAsNumber = minutesOfLength(doc.plan.lengthSeconds);
		}
	}

	function setStart(input: HTMLInputElement) {
		const startsAt = readTime(input.value);
		if (startsAt) doc.edit({ do: 'setPlan', change: { startsAt } }, `Starts at ${startsAt}`);
		else doc.session.message = 'A time on the studio’s clock, such as 18:30';
		input.value = startsAt ?? doc.plan.startsAt;
	}
</script>

<header class="head">
	<div class="name">
		<h1 class="visually-hidden">{doc.plan.title || 'Untitled class'}</h1>
		<input
			class="title"
			aria-label="Title of the class"
			placeholder="Untitled class"
			maxlength={PLAN_LIMITS.titleCharacters}
			value={doc.plan.title}
			oninput={(event) =>
				doc.edit({ do: 'setPlan', change: { title: event.currentTarget.value } }, '', 'title')}
		/>
		<p class="quiet">
			<a href="/group/{groupId}">{groupName}</a>{#if series}, <a href="/series/{series.id}">{series.title}</a
				>{/if}{day ? `, ${day},` : ','} starts
			<input
				class="start"
				aria-label="Starts at, on the studio’s clock"
				maxlength="5"
				value={doc.plan.startsAt}
				onchange={(event) => setStart(event.currentTarget)}
			/>
			ends {clockTime(doc.plan.startsAt, total)}{#if room}, room {room.from}–{room.to}{/if}
		</p>
	</div>
	<div class="total">
		<p class="hero" class:off={off !== 0} data-testid="total">
			<Why label="Total time" parts={totalParts}>{formatDuration(total)}</Why>
		</p>
		<p class="quiet">
			of
			<input
				class="minutes"
				type="number"
				aria-label="Length asked for, minutes"
				min="1"
				max="240"
				value={minutesOfLength(doc.plan.lengthSeconds)}
				onchange={(event) => setMinutes(event.currentTarget)}
			/>
			min{off === 0
				? ': exact'
				: off > 0
					? `: ${formatDuration(off)} over`
					: `: ${formatDuration(-off)} free`}
		</p>
		{#if total > 0}
			<p class="quiet">
				<Why
					label="When it is likely to end"
					parts={() => [
						{ label: 'two classes of three end after', seconds: doc.spread.likelyFromSeconds },
						{ label: 'and before', seconds: doc.spread.likelyToSeconds }
					]}
					>likely {wholeMinutes(doc.spread.likelyFromSeconds)}–{wholeMinutes(doc.spread.likelyToSeconds)} min</Why
				>; in time {timesOutOfTen(doc.spread.onTime)} of 10
			</p>
		{/if}
	</div>
	<Button size="field" disabled={fitting.busy || off === 0} on:click={() => void fitting.fit()}>
		Fit to {formatDuration(doc.plan.lengthSeconds)}
	</Button>
	<div class="tools">
		<button
			type="button"
			aria-label="Undo"
			title="Undo (Ctrl Z)"
			disabled={!doc.session.canUndo}
			onclick={() => doc.session.undo()}><Undo size={20} /></button
		>
		<button
			type="button"
			aria-label="Do again"
			title="Do again (Ctrl Y)"
			disabled={!doc.session.canRedo}
			onclick={() => doc.session.redo()}><Redo size={20} /></button
		>
		<button type="button" aria-label="Keys" title="Keys (?)" onclick={onkeys}><Keyboard size={20} /></button>
	</div>
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
			<a href="/plan/{planId}/compare">Compare</a>
			<button type="button" class="link" onclick={onduplicate}>Duplicate</button>
			<button type="button" class="link" onclick={ontemplate}>Keep as template</button>
			<a href="/plan/{planId}/room">Room sheet</a> <a href="/plan/{planId}/print">Class card</a>
			<a href="/plan/{planId}/file" download>Save as file</a>
		</p>
	</div>
</header>
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
		align-items: center;
		gap: 1.5rem;
		flex-wrap: wrap;
	}
	.name {
		flex: 1;
		min-width: 16rem;
	}
	input {
		border: 1px solid transparent;
		border-radius: 6px;
		background: none;
		color: var(--ink);
		font-size: inherit;
	}
	input:hover,
	input:focus {
		border-color: var(--line-strong);
		background: var(--sheet);
	}
	.title {
		width: 100%;
		padding: 0.1rem 0.4rem;
		margin-left: -0.4rem;
		font-size: var(--text-xl);
		font-weight: 650;
	}
	.start {
		width: 3.6rem;
		text-align: center;
		border-color: var(--line);
	}
	.minutes {
		width: 3.6rem;
		text-align: right;
		border-color: var(--line);
	}
	.link {
		border: 0;
		background: none;
		padding: 0;
		color: var(--accent);
		text-decoration: underline;
		min-height: 24px;
		cursor: pointer;
	}
	.total {
		text-align: right;
	}
	.hero {
		font-size: var(--text-hero);
		font-weight: 650;
		line-height: 1;
		color: var(--good);
	}
	.hero.off {
		color: var(--ink);
	}
	.tools {
		display: flex;
		gap: 0.15rem;
	}
	.tools button {
		display: grid;
		place-items: center;
		width: 2.25rem;
		height: 2.25rem;
		border: 0;
		border-radius: var(--radius);
		background: none;
		color: var(--ink);
		cursor: pointer;
	}
	.tools button:hover {
		background: var(--sunk);
	}
	.tools button:disabled {
		color: var(--line-strong);
		cursor: default;
	}
	.out {
		font-size: var(--text-s);
		text-align: right;
	}
	.ready {
		color: var(--good);
		font-weight: 600;
	}
	.links {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		justify-content: flex-end;
		gap: 0 0.8rem;
	}
	.out .checks a {
		margin-left: 0.6rem;
	}
	.message {
		min-height: 1.3rem;
		margin: 0.3rem 0 0.5rem;
		font-size: var(--text-s);
		color: var(--accent);
		font-weight: 600;
	}
	@media (max-width: 40rem) {
		.head {
			gap: 0.6rem 1rem;
		}
		.name,
		.out {
			flex: 1 0 100%;
		}
		.total,
		.out {
			text-align: left;
		}
		.links {
			justify-content: flex-start;
		}
	}
</style>
