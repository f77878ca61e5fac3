<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { askCheckAgain } from '$lib/client/api';
	import { CHECKS, type SilencedCheck } from '$lib/core/checks';
	import { Button, InlineNotification } from 'carbon-components-svelte';

	/** Checks that the teacher silenced in all classes, each with its reason and the way back. */
	interface Props {
		silenced: readonly SilencedCheck[];
	}
	let { silenced }: Props = $props();
	let wrong = $state('');

	const summaryOf = (id: string) => CHECKS.find(({ meta }) => meta.id === id)?.meta.summary ?? id;

	async function askAgain(check: string) {
		const answer = await askCheckAgain(check);
		wrong = answer.ok ? '' : answer.messages.join(' ');
		if (answer.ok) await invalidateAll();
	}
</script>

{#if wrong}<InlineNotification kind="error" title="Not changed." subtitle={wrong} lowContrast />{/if}
<ul>
	{#each silenced as { check, reason }, index (index)}
		<li>
			<div>
				<p>{summaryOf(check)}</p>
				<p class="quiet">{reason}</p>
			</div>
			<Button kind="ghost" size="small" on:click={() => askAgain(check)}>Check again</Button>
		</li>
	{:else}
		<li class="quiet">
			None. At a finding, “Keep with a reason” can silence its check in all of your classes.
		</li>
	{/each}
</ul>

<style>
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.5rem;
	}
	li {
		display: flex;
		justify-content: space-between;
		gap: 1rem;
	}
</style>
