<script lang="ts">
	import { goto } from '$app/navigation';
	import { CATALOGUE } from '$lib/catalogue';
	import {
		movementDraftOf,
		emptyDraft,
		MOVEMENT,
		readMovementDraft,
		catalogueView,
		type MovementDraft
	} from '$lib/core/movement';
	import { withVersion } from '$lib/core/validation';
	import { create } from '$lib/client/api';
	import MovementForm from '$lib/ui/movement/MovementForm.svelte';
	import { Button } from 'carbon-components-svelte';
	import { untrack } from 'svelte';

	let { data } = $props();
	const from = untrack(() => data.from);
	let draft = $state.raw<MovementDraft>(
		from ? { ...movementDraftOf(from), english: `${from.english}, our way` } : emptyDraft()
	);
	let faults = $state<string[]>([]);
	let busy = $state(false);
	const read = $derived(readMovementDraft(draft, 'own-draft', from ?? undefined));
	const catalogue = $derived(catalogueView(CATALOGUE, data.own));

	async function add() {
		if (!read.ok) {
			faults = [`${read.field}: ${read.message}`];
			return;
		}
		busy = true;
		const answer = await create<{ slug: string }>('/api/own-movements', {
			document: withVersion(MOVEMENT, read.movement)
		});
		if (answer.ok) await goto(`/catalogue/${answer.value.slug}`);
		else faults = answer.messages;
		busy = false;
	}
</script>

<svelte:head><title>A movement of your own · Humble Orbit</title></svelte:head>

<p><a href="/catalogue">Catalogue</a></p>
<div class="head">
	<h1>A movement of your own</h1>
	<Button size="field" disabled={busy} on:click={add}>Add it to the catalogue</Button>
</div>
{#if faults.length}
	<div role="alert">
		<ul class="faults">
			{#each faults as fault, index (index)}<li>{fault}</li>{/each}
		</ul>
	</div>
{/if}
<MovementForm {draft} {read} catalogue={catalogue.all} onchange={(next) => (draft = next)} />

<style>
	.head {
		display: flex;
		justify-content: space-between;
		align-items: center;
		margin: 0.25rem 0 0.75rem;
	}
	.faults {
		color: var(--stop);
		margin: 0 0 0.75rem;
	}
</style>
