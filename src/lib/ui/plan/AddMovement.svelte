<script lang="ts">
	import { onMount } from 'svelte';
	import { Button, TextInput } from 'carbon-components-svelte';
	import { findInCatalogue, type Filters } from '$lib/core/substitution';
	import { movementRing } from '$lib/core/view-models';
	import type { Group } from '$lib/core/group';
	import { POSITION_NAME, type Movement } from '$lib/core/movement';
	import type { FamiliarMovements } from '$lib/core/record';
	import type { TypedAhead } from '$lib/client/plan/typed-ahead';
	import Figure from '../movement/Figure.svelte';
	import FinderFilters from '../movement/FinderFilters.svelte';
	import Ring from '../chart/Ring.svelte';

	/** Finds a movement by typing and adds it: arrows choose, Enter takes, Escape leaves. */
	interface Props {
		movements: readonly Movement[];
		group: Group;
		usedLately: FamiliarMovements;
		/** Keys typed before this was loaded. */
		typedAhead: TypedAhead;
		onadd: (movement: Movement) => void;
		onleave: () => void;
	}
	let { movements, group, usedLately, typedAhead, onadd, onleave }: Props = $props();

	let filters = $state.raw<Filters>({});
	let at = $state(0);
	let input = $state<HTMLInputElement | null>(null);
	const found = $derived(findInCatalogue(movements, filters, { group, usedLately }));
	const current = $derived(found.movements[at]);
	const id = $props.id();

	onMount(() => {
		input?.focus();
		const { text, entered } = typedAhead.release();
		if (text) look({ search: text });
		if (entered && current) onadd(current);
	});
	$effect(() => {
		if (current) document.getElementById(`${id}-${current.slug}`)?.scrollIntoView({ block: 'nearest' });
	});

	function look(next: Filters) {
		filters = next;
		at = 0;
	}

	function key(event: KeyboardEvent) {
		if (event.key === 'ArrowDown') at = Math.min(found.movements.length - 1, at + 1);
		else if (event.key === 'ArrowUp') at = Math.max(0, at - 1);
		else if (event.key === 'Enter' && current) onadd(current);
		else return;
		event.preventDefault();
		event.stopPropagation();
	}
	function leave(event: KeyboardEvent) {
		if (event.key !== 'Escape') return;
		event.stopPropagation();
		onleave();
	}
</script>

<div class="add" role="dialog" aria-label="Add a movement" tabindex="-1" onkeydown={leave}>
	<div class="bar">
		<TextInput
			id="{id}-find"
			bind:ref={input}
			size="sm"
			hideLabel
			labelText="Find a movement"
			role="combobox"
			aria-expanded="true"
			aria-controls="{id}-list"
			aria-activedescendant={current ? `${id}-${current.slug}` : undefined}
			autocomplete="off"
			placeholder="Name, Sanskrit or position"
			value={filters.search ?? ''}
			on:input={(event) => look({ ...filters, search: String(event.detail ?? '') })}
			on:keydown={key}
		/>
		<span class="quiet" role="status">{found.movements.length} found</span>
		<Button kind="ghost" size="small" on:click={onleave}>Close</Button>
	</div>
	<div class="narrow">
		<FinderFilters {filters} counts={found.counts} {group} lately={usedLately} onchange={look} />
	</div>
	<ul role="listbox" id="{id}-list" aria-label="Movements">
		{#each found.movements as movement, index (movement.slug)}
			<!-- the keyboard works through the combobox above -->
			<!-- svelte-ignore a11y_click_events_have_key_events -->
			<li
				role="option"
				id="{id}-{movement.slug}"
				aria-selected={index === at}
				onclick={() => onadd(movement)}
			>
				<Figure {movement} width={44} height={30} />
				<Ring sectors={movementRing(movement)} size={26} />
				<b>{movement.english}</b>
				<span class="quiet">{movement.sanskrit}</span>
				<span class="quiet end">{POSITION_NAME[movement.position]}</span>
			</li>
		{:else}
			<li class="none">No movement found. Try fewer letters or fewer filters.</li>
		{/each}
	</ul>
</div>

<style>
	.add {
		border: 2px solid var(--accent);
		border-radius: 10px;
		background: var(--sheet);
		overflow: hidden;
	}
	.bar {
		display: flex;
		align-items: center;
		gap: 0.75rem;
		padding: 0.5rem 0.75rem;
	}
	.narrow {
		padding: 0 0.75rem 0.5rem;
		border-bottom: 1px solid var(--line);
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0.25rem;
		max-height: 17rem;
		overflow: auto;
	}
	li {
		display: flex;
		align-items: center;
		gap: 0.6rem;
		padding: 0.2rem 0.5rem;
		border-radius: 6px;
		cursor: pointer;
		font-size: var(--text-s);
		content-visibility: auto;
		contain-intrinsic-height: 34px;
	}
	li[aria-selected='true'] {
		background: var(--accent-tint);
		outline: 2px solid var(--accent);
		outline-offset: -2px;
	}
	.end {
		margin-left: auto;
	}
	.none {
		cursor: default;
	}
</style>
