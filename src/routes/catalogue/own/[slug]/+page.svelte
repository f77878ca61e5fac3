<script lang="ts">
	import { CATALOGUE } from '$lib/catalogue';
	import { Autosave } from '$lib/client/saving/autosave.svelte';
	import { movementForm } from '$lib/client/saving/documents';
	import {
		movementDraftOf,
		readMovementDraft,
		catalogueView,
		type Movement,
		type MovementDraft
	} from '$lib/core/movement';
	import KeepSaved from '$lib/ui/saving/KeepSaved.svelte';
	import MovementForm from '$lib/ui/movement/MovementForm.svelte';
	import SaveMark from '$lib/ui/saving/SaveMark.svelte';
	import { untrack } from 'svelte';

	let { data } = $props();
	const { movement, version } = untrack(() => data.stored);
	const autosave = new Autosave<Movement>(
		`/api/own-movements/${movement.slug}`,
		{ version },
		untrack(() => data.owner),
		movementForm(() => catalogue.all.map(({ slug }) => slug))
	);
	let base = $state.raw(movement);
	/** The last state that could be read: what is half written is not saved and not set aside. */
	let sound = $state.raw(movement);
	let draft = $state.raw<MovementDraft>(movementDraftOf(movement));
	const read = $derived(readMovementDraft(draft, movement.slug, base));
	const catalogue = $derived(catalogueView(CATALOGUE, data.own));

	function begin(from: Movement) {
		base = sound = from;
		draft = movementDraftOf(from);
	}

	function change(next: MovementDraft) {
		draft = next;
		const now = readMovementDraft(next, movement.slug, base);
		if (!now.ok) return;
		sound = now.movement;
		autosave.changed(sound);
	}
	const inShort = (m: Movement) => [m.english, m.setUp];
</script>

<svelte:head><title>{draft.english} · Humble Orbit</title></svelte:head>

<p><a href="/catalogue/{movement.slug}">{draft.english || 'Back'}</a></p>
<div class="head">
	<h1>{draft.english || 'A movement without a name'}</h1>
	<SaveMark state={autosave.state} faults={autosave.faults} kept={autosave.kept} />
</div>
<p class="quiet">
	Classes that use it keep the old version. Each shows the difference and can use the new version.
</p>

<KeepSaved {autosave} mine={sound} what="This movement" {inShort} ontake={begin} />

<MovementForm {draft} {read} catalogue={catalogue.all} onchange={change} />

<style>
	.head {
		display: flex;
		align-items: baseline;
		gap: 1.5rem;
		margin: 0.25rem 0 0.25rem;
	}
</style>
