<script lang="ts">
	import type { TeachingSession } from '$lib/client/teach/teaching-session.svelte';
	import { formatDuration } from '$lib/core/clock';
	import { listOf, type ListLine } from '$lib/core/teach';
	import { Button, Modal } from 'carbon-components-svelte';
	import type { Attachment } from 'svelte/attachments';

	/** The whole class: what was given, what comes, what is left out; each can be gone to. */
	interface Props {
		run: TeachingSession;
		onclose: () => void;
	}
	let { run, onclose }: Props = $props();

	const lines = $derived(listOf(run.state, run.steps));
	const byClock = $derived(run.state.lead === 'clock');
	const nameOf = ({ title, leg }: ListLine) => [title, leg].filter(Boolean).join(', ');
	/** The list opens where the class is. */
	const intoSight: Attachment = (node) => node.scrollIntoView({ block: 'center' });

	function go(step: string) {
		run.does({ do: 'jump', step });
		onclose();
	}
</script>

<Modal open passiveModal hasScrollingContent modalHeading="The whole class" on:close={onclose}>
	<ol>
		{#each lines as line (line.id)}
			{@const isNow = line.standing === 'now'}
			<li
				class:now={isNow}
				class:past={line.standing === 'given' || line.standing === 'left out'}
				aria-current={isNow ? 'step' : undefined}
				{@attach isNow ? intoSight : () => {}}
			>
				<span class="words">
					{nameOf(line)}
					<span class="quiet">{formatDuration(line.seconds)}, {line.standing}</span>
				</span>
				{#if line.standing === 'left out' || line.standing === 'passed by'}
					<Button
						kind="tertiary"
						size="small"
						aria-label="Bring back {nameOf(line)}"
						on:click={() => run.does({ do: 'bring back', steps: line.steps })}>Bring back</Button
					>
				{:else if !isNow}
					{#if line.standing === 'to come'}
						<Button
							kind="ghost"
							size="small"
							aria-label="Leave out {nameOf(line)}"
							on:click={() => run.does({ do: 'leave out', steps: line.steps })}>Leave out</Button
						>
					{/if}
					{#if byClock && line.standing === 'to come'}
						{@const waits = run.state.waitsAt.has(line.id)}
						<Button
							kind="ghost"
							size="small"
							aria-pressed={waits}
							aria-label="Wait at {nameOf(line)}"
							on:click={() => run.does({ do: 'wait', step: line.id, waits: !waits })}
							>{waits ? 'Waits here' : 'Wait here'}</Button
						>
					{/if}
					<Button kind="ghost" size="small" aria-label="Go to {nameOf(line)}" on:click={() => go(line.id)}
						>Go here</Button
					>
				{/if}
			</li>
		{/each}
	</ol>
</Modal>

<style>
	ol {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	li {
		display: flex;
		align-items: center;
		gap: 0.3rem;
		min-height: 3rem;
		border-top: 1px solid var(--line);
	}
	.words {
		flex: 1;
		display: grid;
		font-size: var(--text-m);
	}
	.now {
		box-shadow: inset 4px 0 0 var(--accent);
		padding-left: 0.6rem;
		font-weight: 650;
	}
	.past .words {
		color: var(--ink-soft);
	}
</style>
