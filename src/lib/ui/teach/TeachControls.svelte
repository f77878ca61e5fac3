<script lang="ts">
	import { POSITION_NAME } from '$lib/core/movement';
	import { legCall, nextWords, owedWords, type Now } from '$lib/core/teach';
	import { Button } from 'carbon-components-svelte';

	/** The next step, owed sides, and the buttons under the thumb: the largest moves on. */
	interface Props {
		now: Now;
		isFacing: boolean;
		isPaused: boolean;
		canBack: boolean;
		onnext: () => void;
		onback: () => void;
		onpause: () => void;
		onmore: () => void;
		onleaveout: () => void;
		onchange: () => void;
		onbring: (steps: string[]) => void;
	}
	let {
		now,
		isFacing,
		isPaused,
		canBack,
		onnext,
		onback,
		onpause,
		onmore,
		onleaveout,
		onchange,
		onbring
	}: Props = $props();

	const missed = $derived(now.owed.filter(({ comes }) => !comes));
	const toCome = $derived(now.owed.filter(({ comes }) => comes));
	const next = $derived(now.next);
	const isSameShape = $derived(
		next !== null && next.itemId === now.step.itemId && next.blockId === now.step.blockId
	);
</script>

<footer>
	{#each missed as side, index (index)}
		<p class="owed">
			<span>Owed: {owedWords(side)}</span>
			{#if side.steps.length}
				<Button kind="tertiary" size="small" on:click={() => onbring(side.steps)}>Bring it back</Button>
			{/if}
		</p>
	{/each}
	{#if toCome.length}
		<p class="to-come">
			Still owed: {toCome
				.map(({ title, leg }) => `${legCall(leg, isFacing).word.toLowerCase()} of ${title}`)
				.join(', ')}
		</p>
	{/if}
	<div class="buttons">
		<Button kind="ghost" disabled={!canBack} on:click={onback}>Back</Button>
		<Button kind="ghost" on:click={onpause}>{isPaused ? 'Go on' : 'Pause'}</Button>
		<Button kind="ghost" on:click={onmore}>More</Button>
		<Button kind="ghost" on:click={onleaveout}>Leave out</Button>
		<Button kind="ghost" on:click={onchange}>Change</Button>
	</div>
	<div class="next">
		<Button on:click={onnext}>
			<span class="go">{next === null ? 'End the class' : isPaused ? 'On' : 'Next'}</span>
			{#if next}
				<span class="what">{nextWords(next, now.step, isFacing)}</span>
				{#if !isSameShape}<span class="where"
						>{POSITION_NAME[next.position]}{next.kit.length ? `; ${next.kit.join('; ')}` : ''}</span
					>{/if}
			{/if}
		</Button>
	</div>
	{#if now.nextShape && isSameShape}
		<p class="after">
			After that: <b>{now.nextShape.title}</b>{now.nextShape.leg
				? `, ${legCall(now.nextShape.leg, isFacing).word.toLowerCase()} leg`
				: ''}, {POSITION_NAME[now.nextShape.position].toLowerCase()}{now.nextShape.kit.length
				? `; ${now.nextShape.kit.join('; ')}`
				: ''}
		</p>
	{/if}
</footer>

<style>
	footer {
		display: grid;
		gap: 0.35rem;
		padding: 0.4rem 0.6rem 0.6rem;
		border-top: 1px solid var(--line);
		background: var(--sheet);
	}
	.owed {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 0.5rem;
		padding: 0.2rem 0.6rem;
		border-left: 4px solid var(--stop);
		font-weight: 600;
	}
	.to-come,
	.after {
		font-size: var(--text-m);
		color: var(--ink-soft);
	}
	.after b {
		color: var(--ink);
	}
	.buttons {
		display: grid;
		grid-template-columns: repeat(5, auto);
		gap: 0.3rem;
	}
	.buttons :global(.bx--btn) {
		min-height: 3.25rem;
		max-width: none;
		padding: 0 0.3rem;
		justify-content: center;
		border: 1px solid var(--line-strong);
		font-size: var(--text-m);
	}
	footer .next :global(.bx--btn) {
		display: grid;
		gap: 0.1rem;
		justify-items: start;
		justify-content: start;
		align-content: center;
		width: 100%;
		max-width: none;
		min-height: 6.5rem;
		padding: 0.5rem 1rem;
	}
	.go {
		font-size: var(--text-xl);
		font-weight: 700;
	}
	.what {
		font-size: var(--text-l);
	}
	.where {
		font-size: var(--text-m);
	}
</style>
