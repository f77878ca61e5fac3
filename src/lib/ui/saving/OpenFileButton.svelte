<script lang="ts">
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { goto } from '$app/navigation';
	import { create } from '$lib/client/api';
	import { OPENABLE_FILES, type FileKind } from '$lib/client/saving/file-kinds';
	import { readFile } from '$lib/client/saving/open-file';
	import { Button, FileUploaderButton, Modal } from 'carbon-components-svelte';

	interface Props {
		kind: FileKind;
		groups: { id: string; name: string }[];
	}
	let { kind, groups }: Props = $props();
	const file = $derived(OPENABLE_FILES[kind]);

	const id = $props.id();
	let open = $state(false);
	let groupId = $state('');
	let chosen = $state<File | null>(null);
	let faults = $state<readonly string[]>([]);
	let busy = $state(false);

	function start() {
		groupId = groups[0]?.id ?? '';
		chosen = null;
		faults = [];
		open = true;
	}

	async function take() {
		if (!chosen) {
			faults = ['Choose a file first.'];
			return;
		}
		busy = true;
		faults = await bringIn(chosen);
		busy = false;
	}

	/** Nothing is changed when the file has a fault. */
	async function bringIn(from: File): Promise<readonly string[]> {
		const read = await readFile(kind, await from.text());
		if (!read.ok) return read.lines;
		const answer = await create<{ id: string }>(file.api, { groupId, ...read.value });
		if (!answer.ok) return answer.messages;
		open = false;
		await goto(`${file.page}/${answer.value.id}`);
		return [];
	}
</script>

<Button kind="tertiary" size="small" on:click={start} disabled={groups.length === 0}
	>Open a {file.name} file</Button
>
<Modal
	bind:open
	modalHeading="Open a {file.name} file"
	primaryButtonText="Import"
	primaryButtonDisabled={busy}
	secondaryButtonText="Cancel"
	hasForm
	on:click:button--secondary={() => (open = false)}
	on:submit={take}
>
	{#if open}
		<p>{file.becomes} A file with an error changes nothing.</p>
		<FileUploaderButton
			id="{id}-file"
			kind="tertiary"
			labelText={file.label}
			disableLabelChanges
			accept={['.json', 'application/json']}
			on:change={(event) => {
				chosen = event.detail[0] ?? null;
				faults = [];
			}}
		/>
		{#if chosen}<p>{chosen.name}</p>{/if}
		<Choice
			label="For which group"
			value={groupId}
			options={groups.map((group) => ({ value: group.id, text: group.name }))}
			onpick={(picked) => (groupId = picked)}
		/>
		{#if faults.length}
			<div class="faults" role="alert">
				<strong>This file cannot be used:</strong>
				<ul>
					{#each faults.slice(0, 20) as fault, index (index)}<li>{fault}</li>{/each}
				</ul>
				{#if faults.length > 20}<p>and {faults.length - 20} more</p>{/if}
			</div>
		{/if}
	{/if}
</Modal>

<style>
	.faults {
		margin-top: 1rem;
		color: var(--stop);
		overflow-wrap: anywhere;
	}
	.faults ul {
		margin: 0.5rem 0 0 1rem;
		list-style: disc;
	}
</style>
