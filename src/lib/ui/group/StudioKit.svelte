<script lang="ts">
	import { Autosave } from '$lib/client/saving/autosave.svelte';
	import { kitForm } from '$lib/client/saving/documents';
	import { kitWords, MOST_PIECES, type Kit } from '$lib/core/group';
	import KeepSaved from '$lib/ui/saving/KeepSaved.svelte';
	import SaveMark from '$lib/ui/saving/SaveMark.svelte';
	import { untrack } from 'svelte';
	import KitCounts from './KitCounts.svelte';

	/** Kit of the studio's room, for all groups that share it. */
	interface Props {
		stored: { version: number; kit: Kit };
		owner: string;
	}
	let { stored, owner }: Props = $props();

	const begun = untrack(() => stored);
	const autosave = new Autosave<Kit>(
		'/api/studio/kit',
		{ version: begun.version },
		untrack(() => owner),
		kitForm
	);
	let kit = $state.raw(begun.kit);

	function change(next: Kit) {
		kit = next;
		autosave.changed(next);
	}
</script>

<section class="sheet" aria-labelledby="studio-kit">
	<header>
		<h2 id="studio-kit">The studio’s kit</h2>
		<SaveMark state={autosave.state} faults={autosave.faults} kept={autosave.kept} />
	</header>
	<p class="quiet">
		Counted in pieces, once for all groups. A group that has other kit says so on its own page.
	</p>
	<KeepSaved
		{autosave}
		mine={kit}
		what="The kit"
		inShort={(one) => [kitWords(one)]}
		ontake={(other) => (kit = other)}
	/>
	<KitCounts {kit} most={MOST_PIECES} onchange={change} />
</section>

<style>
	section {
		display: grid;
		gap: 0.75rem;
	}
	header {
		display: flex;
		justify-content: space-between;
		gap: 1rem;
		align-items: baseline;
	}
</style>
