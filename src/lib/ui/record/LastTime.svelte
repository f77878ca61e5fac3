<script lang="ts">
	import { writeDown } from '$lib/client/saving/write-down';
	import { HOW_MANY, SORE, type HowMany, type ClassNotes, type Sore } from '$lib/core/record';
	import { Button } from 'carbon-components-svelte';

	/** Asks before the next class about the last one: who was sore, and whether people could do what it led to. */
	interface Props {
		last: {
			planId: string;
			version: number;
			/** "Tuesday 17 November". */
			day: string;
			notes: ClassNotes;
			/** Movements that the last class led to. */
			movements: { slug: string; english: string }[];
		};
	}
	let { last }: Props = $props();

	let sore = $state<Sore | null>(null);
	let there = $state<Record<string, HowMany>>({});
	let said = $state('');
	let isDone = $state(false);

	const isAnswered = $derived(sore !== null && last.movements.every(({ slug }) => there[slug]));

	async function answer() {
		if (!isAnswered || sore === null) return;
		const notes = { ...last.notes, sore, there: { ...there } };
		const written = await writeDown(last.planId, last.version, notes);
		said = written.said;
		isDone = written.ok;
	}
</script>

{#snippet question(
	ask: string,
	options: readonly string[],
	now: string | null,
	onpick: (said: string) => void
)}
	<div class="question" role="group" aria-label={ask}>
		<span>{ask}</span>
		{#each options as option, i (i)}
			<Button
				size="small"
				kind={now === option ? 'primary' : 'tertiary'}
				aria-pressed={now === option}
				on:click={() => {
					onpick(option);
					void answer();
				}}>{option}</Button
			>
		{/each}
	</div>
{/snippet}

{#if isDone}
	<p role="status" class="quiet">{said}: feedback on {last.day}.</p>
{:else}
	<section class="sheet" aria-label="After the class of {last.day}">
		<p><b>After {last.day}</b></p>
		{@render question('Sore the next day?', SORE, sore, (picked) => (sore = picked as Sore))}
		{#each last.movements as { slug, english } (slug)}
			{@render question(
				`${english}: could they do it?`,
				HOW_MANY,
				there[slug] ?? null,
				(picked) => (there[slug] = picked as HowMany)
			)}
		{/each}
		<p role="alert">{said}</p>
	</section>
{/if}

<style>
	section {
		display: grid;
		gap: 0.4rem;
		margin-bottom: 1rem;
	}
	.question {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem;
	}
	.question span {
		min-width: 16rem;
	}
</style>
