<script lang="ts">
	import Fold from '$lib/ui/fields/Fold.svelte';
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Repairs } from '$lib/client/plan/repairs';
	import type { ItemCommands } from '$lib/client/plan/item-commands';
	import { CHECKS, type Finding } from '$lib/core/checks';
	import { type Preview } from '$lib/core/analysis';
	import { formatDuration } from '$lib/core/clock';
	import { beforeAfter } from '$lib/core/view-models';
	import type { Caution } from '$lib/core/movement';
	import { Button, RadioButton, RadioButtonGroup, TextInput } from 'carbon-components-svelte';
	import SeverityMark from '../chart/SeverityMark.svelte';

	/** One finding: why, where, a fix and its effect, or the reason to leave it. */
	interface Props {
		finding: Finding;
		doc: PlanDocument;
		repairs: Repairs;
		items: ItemCommands;
		ongo: (itemId: string) => void;
	}
	let { finding, doc, repairs, items, ongo }: Props = $props();

	const meta = $derived(CHECKS.find((check) => check.meta.id === finding.checkId)?.meta);
	let preview = $state.raw<Preview | null>(null);
	let silencing = $state(false);
	let reason = $state('');
	/** How far the check is to be quiet. */
	let where = $state<'here' | 'class' | 'all'>('here');
	const id = $props.id();
	const change = $derived(preview && beforeAfter(doc.analysis, preview));
	let takes = $state<HTMLButtonElement | HTMLAnchorElement | null>(null);
	$effect(() => takes?.focus());

	function show() {
		preview = repairs.preview(finding);
	}
	function take() {
		if (preview) repairs.take(preview);
		preview = null;
	}
	function silence(event: SubmitEvent) {
		event.preventDefault();
		const why = reason.trim();
		if (!why) return;
		if (where === 'all') void repairs.silenceForGood(finding, why);
		else repairs.silence(finding, why, where === 'class');
	}
</script>

<li>
	<SeverityMark severity={finding.severity} />
	<div>
		<p>{finding.message}</p>
		<p class="actions">
			{#if finding.repairable && !preview}
				<Button kind="ghost" size="small" on:click={show}>Fix</Button>
			{/if}
			{#if finding.checkId === 'caution-conflict' && finding.severity === 'stop'}
				<Button
					kind="ghost"
					size="small"
					on:click={() => items.confirm(finding.where.itemId ?? '', finding.data.caution as Caution)}
					>Keep it on my responsibility</Button
				>
			{/if}
			{#each finding.places as { itemId, atSeconds }, index (index)}
				{#if itemId}
					<Button kind="ghost" size="small" on:click={() => ongo(itemId)}
						>{index === 0 ? 'Show' : 'and'}{atSeconds === undefined
							? ''
							: ` ${formatDuration(atSeconds)}`}</Button
					>
				{/if}
			{/each}
			{#if !meta?.neverSilent && !silencing}
				<Button kind="ghost" size="small" on:click={() => (silencing = true)}>Keep with a reason</Button>
			{/if}
		</p>
		{#if preview && change}
			<div class="preview" role="group" aria-label="Effect of the fix">
				<p>
					<b>{preview.repair.label}</b>
					<span>{change.totalBefore} → {change.totalAfter}</span>
				</p>
				{#if change.shifts.length}
					<p class="shifts">
						{#each change.shifts as shift, index (index)}
							<span title={shift.name}>{shift.sign || shift.name} {shift.before} → {shift.after}</span>
						{/each}
					</p>
				{/if}
				<p>
					{change.solved.length} fixed{change.raised.length
						? `; new: ${change.raised.map((f) => f.message).join('; ')}`
						: ', nothing new'}
				</p>
				<p class="actions">
					<Button kind="tertiary" size="small" bind:ref={takes} on:click={take}>Apply</Button>
					<Button kind="ghost" size="small" on:click={() => (preview = null)}>Cancel</Button>
				</p>
			</div>
		{/if}
		{#if silencing}
			<form onsubmit={silence}>
				<TextInput
					id="{id}-reason"
					size="sm"
					labelText="Why you keep it"
					maxlength={300}
					bind:value={reason}
				/>
				<RadioButtonGroup legendText="Silence this check" bind:selected={where}>
					{#if finding.places.length}<RadioButton id="{id}-here" value="here" labelText="Here" />{/if}
					<RadioButton
						id="{id}-class"
						value={finding.places.length ? 'class' : 'here'}
						labelText="In the whole class"
					/>
					<RadioButton id="{id}-all" value="all" labelText="In all of my classes" />
				</RadioButtonGroup>
				<Button type="submit" kind="tertiary" size="small" disabled={!reason.trim()}>Keep it</Button>
				<Button kind="ghost" size="small" on:click={() => (silencing = false)}>Cancel</Button>
			</form>
		{/if}
		<Fold title="Why?">
			<p class="quiet">{meta?.why}</p>
			<p class="quiet">Source: {meta?.source}.</p>
		</Fold>
	</div>
</li>

<style>
	li {
		display: flex;
		gap: 0.5rem;
		align-items: baseline;
		font-size: var(--text-s);
	}
	li > div {
		flex: 1;
		min-width: 0;
	}
	.actions,
	.shifts {
		display: flex;
		flex-wrap: wrap;
		gap: 0 0.9rem;
	}
	/* the words of an action begin where the sentence does */
	.actions {
		gap: 0 0.3rem;
		margin-left: -0.8rem;
	}
	.preview .actions {
		margin-left: 0;
	}
	.preview {
		border: 1px solid var(--accent);
		border-radius: 8px;
		padding: 0.3rem 0.6rem;
		margin: 0.2rem 0;
		background: var(--sheet);
	}
	.preview p:first-child {
		display: flex;
		justify-content: space-between;
		gap: 0.75rem;
	}
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 0.75rem;
		align-items: center;
	}
</style>
