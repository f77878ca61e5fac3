<script lang="ts">
	import type { ItemCommands } from '$lib/client/plan/item-commands';
	import { otherLeg } from '$lib/core/anatomy';
	import { DOSE_UNITS, type DoseUnit } from '$lib/core/movement';
	import { HELD_UNITS, isUneven, mayHold, PLAN_LIMITS, type HeldUnit, type Hold } from '$lib/core/plan';
	import type { OrderRow } from '$lib/core/view-models';
	import { Checkbox, TextInput } from 'carbon-components-svelte';
	import Choice from '../fields/Choice.svelte';
	import NumberField from '../fields/NumberField.svelte';

	/** All of a dose beyond its amount, and how the sides come into it. */
	interface Props {
		row: OrderRow;
		items: ItemCommands;
	}
	let { row, items }: Props = $props();

	const { item, movement } = $derived(row);
	const { dose } = $derived(item);
	const unit = $derived(row.range.unit);
	const twoSides = $derived(row.sided && !row.byTurns && !item.oneSided);
	const id = $props.id();

	/** The typed value; undefined for an empty field and 0. */
	const given = (value: number | null) => value || undefined;
	const held = (hold: Hold | undefined, amount: number | null): Hold | undefined =>
		amount ? { amount, unit: hold?.unit ?? 'counts' } : undefined;
</script>

{#snippet number(label: string, value: number | undefined, max: number, take: (value: number | null) => void)}
	<NumberField {label} least={0} most={max} empty="" value={value ?? null} onchange={take} />
{/snippet}

{#snippet choice(label: string, selected: string, choices: readonly string[], take: (value: string) => void)}
	<Choice {label} value={selected} options={choices} onpick={take} />
{/snippet}

<div class="dose" role="group" aria-label="Dose of {movement.english}, all of it">
	<Checkbox
		id="{id}-passed"
		labelText="Only passed through, on the way to something else"
		checked={Boolean(item.passed)}
		on:check={(event) =>
			items.change(
				item,
				{ passed: event.detail || undefined },
				event.detail ? 'Passed through' : 'Not only passed through'
			)}
	/>
	{#if !item.passed}
		<div class="fields">
			{@render choice('Counted in', unit, DOSE_UNITS, (value) => items.setUnit(item, value as DoseUnit))}
			{@render number('Up to', dose.most, PLAN_LIMITS.amount, (most) =>
				items.setDose(item, { most: given(most) })
			)}
			{@render number('Sets', dose.sets ?? 1, PLAN_LIMITS.sets, (sets) =>
				items.setDose(item, { sets: given(sets) })
			)}
			{#if dose.sets}
				{@render number('Rest between sets (s)', dose.restSeconds, PLAN_LIMITS.restSeconds, (rest) =>
					items.setDose(item, { restSeconds: given(rest) })
				)}
			{/if}
			{#if mayHold(unit)}
				{@render number('Each one held', dose.hold?.amount, PLAN_LIMITS.holdAmount, (amount) =>
					items.setDose(item, { hold: held(dose.hold, amount) })
				)}
				{#if dose.hold}
					{@render choice('in', dose.hold.unit, HELD_UNITS, (value) =>
						items.setDose(item, { hold: dose.hold && { ...dose.hold, unit: value as HeldUnit } })
					)}
				{/if}
				{@render number('The last one held', dose.lastHold?.amount, PLAN_LIMITS.holdAmount, (amount) =>
					items.setDose(item, { lastHold: held(dose.lastHold, amount) })
				)}
				{#if dose.lastHold}
					{@render choice('in', dose.lastHold.unit, HELD_UNITS, (value) =>
						items.setDose(item, { lastHold: dose.lastHold && { ...dose.lastHold, unit: value as HeldUnit } })
					)}
				{/if}
			{/if}
			{@render number('Effort, %', dose.effortPercent, PLAN_LIMITS.effortPercent, (percent) =>
				items.setDose(item, { effortPercent: given(percent) })
			)}
			{@render number('Pause afterwards (s)', item.noticeSeconds, PLAN_LIMITS.noticeSeconds, (seconds) =>
				items.change(item, { noticeSeconds: given(seconds) }, 'Pause for noticing changed')
			)}
			{#if twoSides}
				{@render number(
					'after the first side (s)',
					item.noticeFirstSeconds,
					PLAN_LIMITS.noticeSeconds,
					(seconds) =>
						items.change(item, { noticeFirstSeconds: given(seconds) }, 'Pause for noticing changed')
				)}
				{@render number(`Second side, ${unit}`, dose.secondSide, PLAN_LIMITS.amount, (amount) =>
					items.setDose(item, { secondSide: given(amount) })
				)}
				{@render number(
					`More with the ${dose.moreOn?.leg ?? 'left'} leg, ${unit}`,
					dose.moreOn?.amount,
					PLAN_LIMITS.amount,
					(amount) =>
						items.setDose(item, { moreOn: amount ? { leg: dose.moreOn?.leg ?? 'left', amount } : undefined })
				)}
			{/if}
		</div>
		<div class="fields ticks">
			<Checkbox
				id="{id}-ways"
				labelText="Both directions, this amount each"
				checked={Boolean(dose.bothWays)}
				on:check={(event) => items.setDose(item, { bothWays: event.detail || undefined })}
			/>
			{#if row.sided}
				<Checkbox
					id="{id}-turns"
					labelText="Alternating: left, right, left"
					checked={row.byTurns}
					on:check={(event) => items.setTurns(item, movement, event.detail)}
				/>
				{#if !row.byTurns}
					<Checkbox
						id="{id}-one"
						labelText="One side only"
						checked={Boolean(item.oneSided)}
						on:check={(event) =>
							items.change(
								item,
								{ oneSided: event.detail ? { reason: '' } : undefined },
								event.detail ? 'One side only' : 'Both sides'
							)}
					/>
				{/if}
				{#if twoSides}
					<Checkbox
						id="{id}-slow"
						labelText="Change sides slowly"
						checked={Boolean(item.slowChange)}
						on:check={(event) =>
							items.change(item, { slowChange: event.detail || undefined }, 'Change of sides changed')}
					/>
				{/if}
				{#if dose.moreOn}
					<Checkbox
						id="{id}-other"
						labelText="The right leg gets more"
						checked={dose.moreOn.leg === 'right'}
						on:check={() =>
							dose.moreOn &&
							items.setDose(item, { moreOn: { ...dose.moreOn, leg: otherLeg(dose.moreOn.leg) } })}
					/>
				{/if}
			{/if}
		</div>
		{#if item.oneSided}
			<TextInput
				id="{id}-why-one"
				size="sm"
				labelText="Why on one side only"
				value={item.oneSided.reason}
				on:change={(event) =>
					items.change(item, { oneSided: { reason: String(event.detail ?? '') } }, 'Reason noted')}
			/>
		{/if}
		{#if isUneven(dose)}
			<TextInput
				id="{id}-why-uneven"
				size="sm"
				labelText="Why the sides get different amounts"
				value={dose.unevenReason ?? ''}
				on:change={(event) =>
					items.setDose(item, { unevenReason: String(event.detail ?? '') || undefined }, 'Reason noted')}
			/>
		{/if}
	{/if}
</div>

<style>
	.dose {
		display: grid;
		gap: 0.75rem;
		margin-top: 0.4rem;
		padding-top: 0.5rem;
		border-top: 1px solid var(--line);
	}
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
		gap: 0.6rem 0.75rem;
		align-items: end;
	}
	.ticks {
		grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
	}
</style>
