<script lang="ts">
	import { plural } from '$lib/core/text';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { Button, Search } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import { CATALOGUE } from '$lib/catalogue';
	import { findInCatalogue, type Filters } from '$lib/core/substitution';
	import { movementRing } from '$lib/core/view-models';
	import { POSITION_NAME, catalogueView } from '$lib/core/movement';
	import Figure from '$lib/ui/movement/Figure.svelte';
	import FinderFilters from '$lib/ui/movement/FinderFilters.svelte';
	import Ring from '$lib/ui/chart/Ring.svelte';
	import { onVisible } from '$lib/client/page/when-visible';
	import { onMount } from 'svelte';

	let { data } = $props();
	let filters = $state.raw<Filters>({});
	let input = $state<HTMLInputElement | null>(null);

	const catalogue = $derived(catalogueView(CATALOGUE, data.own));
	const out = $derived(new Set(data.leftOut));
	const found = $derived(
		findInCatalogue(catalogue.all, filters, { group: data.group, usedLately: data.usedLately })
	);

	/** Cards are drawn as they come into view: a first batch, then one more batch each time. */
	const STEP = 24;
	let drawn = $state(STEP);
	const cards = $derived(found.movements.slice(0, drawn));

	onMount(() => input?.focus());

	const look = (search: string) => (filters = { ...filters, search });

	function onkeydown(event: KeyboardEvent) {
		if (event.key !== '/' || (event.target as HTMLElement).closest('input, select, textarea')) return;
		event.preventDefault();
		input?.focus();
	}
</script>

<svelte:head><title>Catalogue · Humble Orbit</title></svelte:head>
<svelte:window {onkeydown} />

<div class="head">
	<h1>Catalogue</h1>
	<Button kind="tertiary" size="small" role="link" href="/catalogue/own/new"
		>Write a movement of your own</Button
	>
</div>

<section class="sheet find" aria-label="Find a movement">
	<div class="bar">
		<Search
			bind:ref={input}
			size="sm"
			labelText="Find a movement"
			placeholder="Name, Sanskrit, another spelling or position"
			value={filters.search ?? ''}
			on:input={(event) => look((event.target as HTMLInputElement).value)}
			on:clear={() => look('')}
		/>
		<span class="quiet" role="status">{found.movements.length} of {catalogue.all.length}</span>
		<div class="for">
			<Choice
				label="For"
				value={data.groupId}
				options={[
					{ value: '', text: 'no group in particular' },
					...data.groups.map(({ id, name }) => ({ value: id, text: name }))
				]}
				onpick={(id) => goto(id ? `?group=${id}` : '?', { keepFocus: true })}
			/>
		</div>
	</div>
	<FinderFilters
		{filters}
		counts={found.counts}
		group={data.group}
		lately={data.usedLately}
		onchange={(next) => (filters = next)}
	/>
</section>

<ul class="cards">
	{#each cards as movement (movement.slug)}
		<li>
			<a class="card" class:out={out.has(movement.slug)} href="/catalogue/{movement.slug}">
				<span class="figure"><Figure {movement} width={96} height={64} /></span>
				<span class="name">
					<b>{movement.english}</b>
					<span class="quiet">{movement.sanskrit || POSITION_NAME[movement.position]}</span>
					<span class="quiet">
						{movement.modes[0]}, {movement.forms.length}
						{plural(movement.forms.length, 'form')}{out.has(movement.slug) ? ', left out' : ''}
					</span>
				</span>
				<Ring sectors={movementRing(movement)} size={34} />
			</a>
		</li>
	{:else}
		<li class="none">No movement found. Try fewer letters or fewer filters.</li>
	{/each}
	{#if cards.length < found.movements.length}
		{#key cards.length}<li aria-hidden="true" {@attach onVisible(() => (drawn += STEP))}></li>{/key}
	{/if}
</ul>

<style>
	.head {
		display: flex;
		align-items: center;
		justify-content: space-between;
		margin-bottom: 0.75rem;
	}
	.find {
		display: grid;
		gap: 0.6rem;
		margin-bottom: 1rem;
	}
	.bar :global(.bx--search) {
		flex: 1 1 16rem;
		width: auto;
	}
	.bar {
		display: flex;
		align-items: center;
		gap: 0.75rem;
		flex-wrap: wrap;
	}
	.cards {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(19rem, 1fr));
		gap: 0.6rem;
	}
	.cards li {
		content-visibility: auto;
		contain-intrinsic-size: auto 84px;
	}
	.card {
		display: grid;
		grid-template-columns: 96px minmax(0, 1fr) auto;
		gap: 0.75rem;
		align-items: center;
		padding: 0.5rem 0.75rem;
		background: var(--sheet);
		border: 1px solid var(--line);
		border-radius: 10px;
		color: var(--ink);
		text-decoration: none;
	}
	.card:hover {
		border-color: var(--accent);
	}
	.card.out {
		background: none;
		border-style: dashed;
	}
	.name {
		display: grid;
		line-height: 1.25;
	}
	.none {
		padding: 1rem;
	}
</style>
