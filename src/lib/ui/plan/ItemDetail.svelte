<script lang="ts">
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { ItemCommands } from '$lib/client/plan/item-commands';
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import type { Alternatives } from '$lib/client/plan/alternatives.svelte';
	import { PHASE_NAME } from '$lib/core/clock';
	import { LINKS, PINNED_PHASES, PLAN_LIMITS, wholeUpTo, type Link, type PinnedPhase } from '$lib/core/plan';
	import { percentOf, type OrderRow } from '$lib/core/view-models';
	import CautionLines from './CautionLines.svelte';
	import DoseFields from './DoseFields.svelte';
	import KitFields from './KitFields.svelte';
	import Figure from '../movement/Figure.svelte';

	/** What a teacher may want to know and change of one item beyond its dose. */
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
	function pin(phase: PinnedPhase, text: string) {
		const { [phase]: _before, ...others } = item.phases ?? {};
		const phases =
			text.trim() === '' ? others : { ...others, [phase]: wholeUpTo(PLAN_LIMITS.phaseSeconds, text) };
		items.change(
			item,
			{ phases },
			`${PHASE_NAME[phase]}: ${text.trim() === '' ? 'as the pace has it' : `${text} s`}`
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
				<button type="button" class="pill" onclick={() => items.swapFor(item, other.movement)}>
					{other.movement.english} <span class="quiet">{percentOf(other.score)} alike</span>
				</button>
			{:else}
				<span>Nothing is proposed: the treating clinician decides.</span>
			{/each}
		</p>
		<div class="swaps">
			<button type="button" class="pill" onclick={() => void alternatives.look(item)}
				>Something else here</button
			>
			{#if alternatives.shown?.itemId === item.id}
				{#each alternatives.shown.found ?? [] as shown, index (index)}
					<button type="button" class="pill" onclick={() => alternatives.take(shown)}>
						{shown.name}
						<span class="quiet">
							{shown.totalAfter}{#each shown.shifts as shift, index (index)}, {shift.sign || shift.name}
								{shift.before} → {shift.after}{/each}
						</span>
					</button>
				{:else}
					<span role="status"
						>{alternatives.shown.found ? 'Nothing else suits this place.' : 'Looking …'}</span
					>
				{/each}
			{:else}
				<span class="quiet">what serves the class best in this place</span>
			{/if}
		</div>
		<p class="fields" role="group" aria-label="Seconds around the work; empty a field to let the pace decide">
			{#each PINNED_PHASES as phase (phase)}
				<label>
					{PHASE_NAME[phase]}
					<input
						type="number"
						min="0"
						max={PLAN_LIMITS.phaseSeconds}
						placeholder="pace"
						value={item.phases?.[phase] ?? ''}
						onchange={(event) => pin(phase, event.currentTarget.value)}
					/>
				</label>
			{/each}
		</p>
		{#if row.linkable}
			<p class="fields">
				<label>
					On the way here the leg
					<select
						aria-label="How the leg changes before {movement.english}"
						value={item.link ?? ''}
						onchange={(event) =>
							blocks.link(item, (event.currentTarget.value || undefined) as Link | undefined)}
					>
						<option value="">leads on</option>
						{#each LINKS as link (link)}<option value={link}>{link}</option>{/each}
					</select>
				</label>
			</p>
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
		color: var(--mend);
		font-weight: 600;
	}
	.swaps,
	.fields {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem 0.75rem;
		align-items: center;
	}
	.fields input,
	.fields select {
		width: 5rem;
		height: 1.9rem;
		border: 1px solid var(--line-strong);
		border-radius: 6px;
		background: var(--sheet);
		color: var(--ink);
		margin-left: 0.3rem;
	}
	.fields select {
		width: auto;
	}
	kbd {
		font-size: var(--text-xs);
		border: 1px solid var(--line-strong);
		border-radius: 4px;
		padding: 0 0.3rem;
	}
	@media (max-width: 48rem) {
		.detail {
			grid-template-columns: 1fr;
		}
	}
</style>
