<script lang="ts">
	import Tick from '$lib/ui/fields/Tick.svelte';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { Button } from 'carbon-components-svelte';
	import { DIRECTION_NAME, DIRECTIONS, TISSUES } from '$lib/core/anatomy';
	import { SERVES, type Counts, type Filters } from '$lib/core/substitution';
	import { TIERS, type Group } from '$lib/core/group';
	import type { FamiliarMovements } from '$lib/core/record';
	import { MODES, POSITION_NAME, POSITIONS, PURPOSES } from '$lib/core/movement';

	/** The filters of the catalogue, each with how many it would leave. */
	interface Props {
		filters: Filters;
		counts: Counts;
		group: Group | null;
		/** Movements used in the last four weeks. */
		lately: FamiliarMovements;
		onchange: (filters: Filters) => void;
	}
	let { filters, counts, group, lately, onchange }: Props = $props();

	type Topic = 'direction' | 'serves' | 'tissue' | 'purpose' | 'position' | 'mode' | 'tier';
	type Switch = 'kitAtHand' | 'cautionSafe' | 'rested';
	interface FilterOptions {
		key: Topic;
		label: string;
		any: string;
		options: readonly { value: string; name: string }[];
	}
	const named = (values: readonly string[], names: Record<string, string> = {}) =>
		values.map((value) => ({ value, name: names[value] ?? value }));
	const choices: FilterOptions[] = [
		{ key: 'direction', label: 'Direction', any: 'any', options: named(DIRECTIONS, DIRECTION_NAME) },
		{ key: 'serves', label: 'As', any: 'range or strength', options: named(SERVES) },
		{ key: 'position', label: 'Position', any: 'any', options: named(POSITIONS, POSITION_NAME) },
		{ key: 'mode', label: 'Mode', any: 'any', options: named(MODES) },
		{ key: 'tissue', label: 'Lengthens', any: 'any', options: named(TISSUES) },
		{ key: 'purpose', label: 'Done for', any: 'anything', options: named(PURPOSES) },
		{ key: 'tier', label: 'Has a form for', any: 'anybody', options: named(TIERS) }
	];
	const switches: { key: Switch; label: string }[] = $derived([
		{ key: 'kitAtHand', label: 'kit at hand' },
		{ key: 'cautionSafe', label: 'suits everybody in the room' },
		{
			key: 'rested',
			label: lately.from === 'taught' ? 'not in the last four weeks' : 'not planned in the last four weeks'
		}
	]);
	const set = (change: Filters) => onchange({ ...filters, ...change });
	const any = $derived(
		[...choices, ...switches].some(({ key }) => filters[key] !== undefined && filters[key] !== false)
	);
</script>

<div class="filters" role="group" aria-label="Filters">
	{#each choices as { key, label, any, options } (key)}
		<div class="choice" class:on={filters[key]}>
			<Choice
				{label}
				value={filters[key] ?? ''}
				options={[
					{ value: '', text: any },
					...options.map(({ value, name }) => ({
						value,
						text: `${name} (${(counts[key] as Record<string, number>)[value]})`
					}))
				]}
				onpick={(value) => set({ [key]: value || undefined })}
			/>
		</div>
	{/each}
	{#each switches as { key, label } (key)}
		{#if key === 'rested' || group}
			<Tick
				label="{label} ({counts[key]})"
				checked={filters[key] ?? false}
				onchange={(on) => set({ [key]: on || undefined })}
			/>
		{/if}
	{/each}
	{#if any}
		<Button kind="tertiary" size="small" on:click={() => onchange({ search: filters.search })}
			>Clear filters</Button
		>
	{/if}
</div>

<style>
	.filters {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 0.4rem 0.75rem;
	}
	.choice {
		display: grid;
		font-size: var(--text-xs);
		color: var(--ink-soft);
	}
</style>
