<script lang="ts">
	import { read, remove as removeAt } from '$lib/client/api';
	import { Button, Modal } from 'carbon-components-svelte';
	import { onMount } from 'svelte';

	/** Asks once before a person is removed: names what goes, and shows the notes in which their name stands. */
	interface Props {
		id: string;
		name: string;
		/** For how many days they can be brought back. */
		keptDays: number;
		onremove: () => void;
		onclose: () => void;
	}
	let { id, name, keptDays, onremove, onclose }: Props = $props();

	interface Named {
		recordId: string;
		version: number;
		day: string;
		title: string;
		note: string;
	}
	let goes = $state.raw<{ checkIns: number; notes: Named[] } | null>(null);
	let said = $state('');

	onMount(look);
	async function look() {
		const answer = await read<{ checkIns: number; notes: Named[] }>(`/api/students/${id}/notes`);
		if (answer.ok) goes = answer.value;
		else said = answer.messages.join(' ');
	}

	async function takeOut({ recordId, version }: Named) {
		const answer = await removeAt(`/api/students/${id}/notes`, version, { record: recordId });
		said = answer.ok ? 'The name is taken out of the note' : answer.messages.join(' ');
		await look();
	}
</script>

<Modal
	open
	danger
	modalHeading="Remove {name}?"
	primaryButtonText="Remove {name}"
	secondaryButtonText="Keep them"
	on:click:button--secondary={onclose}
	on:close={onclose}
	on:submit={onremove}
>
	<div class="goes">
		<p>
			Their name, tier and cautions go, and
			{goes === null
				? 'what was measured of them'
				: goes.checkIns === 0
					? 'nothing was measured of them'
					: goes.checkIns === 1
						? 'one check-in'
						: `${goes.checkIns} check-ins`}. You can bring them back for {keptDays} days; then nothing of it is
			left.
		</p>
		{#if goes?.notes.length}
			<p>
				Your notes stay as they are. In these, “{name}” stands as a word. It may mean another person: decide
				for each.
			</p>
			<ul>
				{#each goes.notes as note, index (index)}
					<li>
						<p><b>{note.day}, {note.title}</b></p>
						<p class="note">{note.note}</p>
						<Button kind="tertiary" size="small" on:click={() => takeOut(note)}
							>Take the name out of this note</Button
						>
					</li>
				{/each}
			</ul>
		{/if}
		<p role="status">{said}</p>
	</div>
</Modal>

<style>
	.goes {
		display: grid;
		gap: 0.75rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.75rem;
	}
	li {
		display: grid;
		gap: 0.3rem;
		justify-items: start;
	}
	.note {
		white-space: pre-line;
	}
</style>
