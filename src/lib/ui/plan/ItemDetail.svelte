<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { ItemCommands } from '$lib/client/plan/item-commands';
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import type { Alternatives } from '$lib/client/plan/alternatives.svelte';
	import { PHASE_NAME } from '$lib/core/clock';
	import { LINKS, PINNED_PHASES, PLAN_LIMITS, type Link, type PinnedPhase } from '$lib/core/plan';
	import { percentOf, type OrderRow } from '$lib/core/view-models';
	import NumberField from '../fields/NumberField.svelte';
	import Choice from '../fields/Choice.svelte';
	import CautionLines from './CautionLines.svelte';
	import DoseFields from './DoseFields.svelte';
	import KitFields from './KitFields.svelte';
	import Figure from '../movement/Figure.svelte';

	/** Details of one item beyond its dose, to see and change. */
	interface Props {
		row: OrderRow;
		doc: PlanDocument;
		items: ItemCommands;
		blocks: BlockCommands;
		alternatives: Alternatives;
	}
	let { row, doc, items, blocks, alternatives }: Props = $props();

	const { item, movement } = $derived(row);
	const room = $derived(doc.roomRow(item.id));
	const others = $derived(items.substitutesFor(item));
	function pin(phase: PinnedPhase, seconds: number | null) {
		const { [phase]: _before, ...others } = item.phases ?? {};
		const phases = seconds === null ? others : { ...others, [phase]: seconds };
		items.change(
			item,
			{ phases },
			`${PHASE_NAME[phase]}: ${seconds === null ? 'from your pace' : `${seconds} s`}`
		);
	}
</script>

<div class="detail" role="group" aria-label="More of {movement.english}">
	<div class="figures">
		<Figure {movement} form={row.form} leads={item.lead} view="side" width={150} height={104} feet />
		<Figure
			{movement}
			form={row.form}
			leads={item.lead}
			view="front"
			width={130}
			height={104}
			feet
			label="{movement.english}, {row.form.id} form, from the side and from the front"
		/>
	</div>
	<div class="words">
		<p><b>{row.form.how}.</b> {movement.setUp}</p>
		{#if room?.cues.length}<p>{room.cues.join(' ')}</p>{/if}
		{#if movement.watch}<p><span class="quiet">Look at</span> {movement.watch}</p>{/if}
		{#if movement.leave}<p><span class="quiet">Leave</span> {movement.leave}</p>{/if}
		{#if movement.mirrored}<p><span class="quiet">Facing the group</span> {movement.mirrored}</p>{/if}
		{#if room?.shortages.length}<p class="short">{room.shortages.join('; ')}</p>{/if}
		{#if room?.cautions.length}
			<CautionLines lines={room.cautions} onconfirm={(caution) => items.confirm(item.id, caution)} />
		{/if}
		<p class="swaps">
			<span class="quiet">Instead <kbd>X</kbd></span>
			{#each others as other (other.movement.slug)}
				<Button kind="tertiary" size="small" on:click={() => items.swapFor(item, other.movement)}>
					{other.movement.english} <span class="quiet">{percentOf(other.score)} alike</span>
				</Button>
			{:else}
				<span>No suggestion: the treating clinician decides.</span>
			{/each}
		</p>
		<div class="swaps">
			<Button kind="tertiary" size="small" on:click={() => void alternatives.look(item)}>Alternatives</Button>
			{#if alternatives.shown?.itemId === item.id}
				{#each alternatives.shown.found ?? [] as shown, index (index)}
					<Button kind="tertiary" size="small" on:click={() => alternatives.take(shown)}>
						{shown.name}
						<span class="quiet">
							{shown.totalAfter}{#each shown.shifts as shift, index (index)}, {shift.sign || shift.name}
								{shift.before} → {shift.after}{/each}
						</span>
					</Button>
				{:else}
					<span role="status"
						>{alternatives.shown.found ? 'There is no alternative for this place.' : 'Looking …'}</span
					>
				{/each}
			{:else}
				<span class="quiet">best for this place in the class</span>
			{/if}
		</div>
		<div class="fields" role="group" aria-label="Seconds around the work. Empty a field to use your pace.">
			{#each PINNED_PHASES as phase (phase)}
				<NumberField
					label={PHASE_NAME[phase]}
					value={item.phases?.[phase] ?? null}
					least={0}
					most={PLAN_LIMITS.phaseSeconds}
					empty="pace"
					onchange={(seconds) => pin(phase, seconds)}
				/>
			{/each}
		</div>
		{#if row.linkable}
			<div class="fields">
				<Choice
					label="Transition into this pose: leg"
					value={item.link ?? ''}
					options={[{ value: '', text: 'leads on' }, ...LINKS.map((link) => ({ value: link, text: link }))]}
					onpick={(link) => blocks.link(item, (link || undefined) as Link | undefined)}
				/>
			</div>
		{/if}
		<DoseFields {row} {items} />
		<KitFields {row} {items} />
	</div>
</div>

<style>
	.detail {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr);
		gap: 1rem;
		margin: 0.2rem 0.5rem 0.6rem;
		padding: 0.6rem 0.75rem;
		border: 1px solid var(--line);
		border-radius: 10px;
		background: var(--sheet);
		font-size: var(--text-s);
	}
	.figures {
		display: grid;
		gap: 0.4rem;
		align-content: start;
	}
	.words {
		display: grid;
		gap: 0.35rem;
		align-content: start;
	}
	.short {
		color: var(--fix);
		font-weight: 600;
	}
	.swaps,
	.fields {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem 0.75rem;
		align-items: center;
	}
	@media (max-width: 48rem) {
		.detail {
			grid-template-columns: 1fr;
		}
	}
</style>
