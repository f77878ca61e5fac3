<script lang="ts">
	import type { ClassRun } from '$lib/client/teach/class-run.svelte';
	import { formatDuration } from '$lib/core/clock';
	import { givenMs, isLeftOut, presentId, stepLine } from '$lib/core/teach';
	import { Button, Modal } from 'carbon-components-svelte';

	/** The whole class, step by step: what was given, what comes, what is left out; each can be gone to. */
	interface Props {
		run: ClassRun;
		onclose: () => void;
	}
	let { run, onclose }: Props = $props();

	const lines = $derived(
		run.state.order.map((id) => ({
			id,
			words: stepLine(run.steps.get(id)),
			isNow: id === presentId(run.state),
			isDone: run.state.done.has(id),
			isOut: isLeftOut(run.state, id),
			time: formatDuration(
				run.state.done.has(id) ? Math.round(givenMs(run.state, id) / 1000) : run.steps.get(id).seconds
			)
		}))
	);
	function go(step: string) {
		run.does({ do: 'jump', step });
		onclose();
	}
</script>

<Modal open passiveModal modalHeading="The whole class" on:close={onclose}>
	<ol>
		{#each lines as line (line.id)}
			<li class:now={line.isNow} class:done={line.isDone} aria-current={line.isNow ? 'step' : undefined}>
				<span class="words">
					{line.words}
					<span class="quiet">
						{line.time}{line.isNow ? ', now' : line.isOut ? ', left out' : line.isDone ? ', given' : ''}
					</span>
				</span>
				{#if line.isOut}
					<Button
						kind="tertiary"
						size="small"
						on:click={() => run.does({ do: 'bring back', steps: [line.id] })}>Bring back</Button
					>
				{:else if !line.isNow}
					{#if !line.isDone}
						<Button
							kind="ghost"
							size="small"
							aria-label="Leave out {line.words}"
							on:click={() => run.does({ do: 'leave out', steps: [line.id] })}>Leave out</Button
						>
					{/if}
					<Button kind="ghost" size="small" aria-label="Go to {line.words}" on:click={() => go(line.id)}
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
		min-height: 2.75rem;
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
	.done .words {
		color: var(--ink-soft);
	}
</style>
