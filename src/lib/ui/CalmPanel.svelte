<script lang="ts">
	import type { PlanEditor } from '$lib/client/plan-editor.svelte';
	import { formatDuration } from '$lib/core/clock';

	/** A calmer order: under way, or found and waiting to be taken. */
	interface Props {
		editor: PlanEditor;
	}
	let { editor }: Props = $props();
	const found = $derived(editor.calmed);
</script>

<div class="calm" role="group" aria-label="A calmer order">
	{#if editor.ordering}
		<p role="status">Looking for the calmest order …</p>
		<button type="button" class="pill" onclick={() => editor.ordering?.stop()}>Stop</button>
	{:else if found}
		<p role="status">
			Between blocks {formatDuration(found.beforeSeconds)} → <b>{formatDuration(found.afterSeconds)}</b>, the
			same content, no rule of order broken{found.exact ? '; no order loses less' : ''}.
		</p>
		<button type="button" class="pill" onclick={() => editor.takeCalm()}>Take it</button>
		<button type="button" class="pill" onclick={() => (editor.calmed = null)}>Leave it</button>
	{/if}
</div>

<style>
	.calm {
		display: flex;
		align-items: center;
		gap: 0.6rem;
		border: 1px solid var(--accent);
		border-radius: 10px;
		padding: 0.4rem 0.75rem;
		margin: 0 0.25rem 0.5rem;
	}
	p {
		flex: 1;
	}
</style>
