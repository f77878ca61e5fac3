<script lang="ts">
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { Button } from 'carbon-components-svelte';
	import { goalFor } from '$lib/client/series/goals';
	import type { SeriesDesk } from '$lib/client/series/series-desk.svelte';
	import { AIMS, type FormId } from '$lib/core/movement';
	import { SERIES_LIMITS } from '$lib/core/series';

	/** Goals in movements, each with the ladder that leads to it. */
	interface Props {
		desk: SeriesDesk;
	}
	let { desk }: Props = $props();

	const { movements } = $derived(desk);
	let slug = $state('');
	let form = $state<FormId>('full');
	const chosen = $derived(movements.find((movement) => movement.slug === slug));

	function choose(value: string) {
		const goal = goalFor(desk, value);
		slug = goal?.movement ?? value;
		if (goal) {
			form = goal.form;
			return;
		}
		if (chosen && !chosen.forms.some(({ id }) => id === form)) form = chosen.forms.at(-1)!.id;
	}
	function add() {
		if (!chosen) return;
		desk.addGoal(slug, form);
		slug = '';
	}
</script>

<fieldset>
	<legend>Goals and their ladders</legend>
	{#each desk.ladders.lines as line, ladder (ladder)}
		<div class="ladder">
			<p><b>{line.name}</b> <span class="quiet">{line.goal}</span></p>
			<ol>
				{#each line.rungs as rung, i (i)}
					<li>
						{rung}
						{#if line.rungs.length > 1 && i < line.rungs.length - 1}
							<Button
								kind="tertiary"
								size="small"
								aria-label="Remove the rung {rung}"
								on:click={() => desk.removeRung(ladder, i)}>Leave out</Button
							>
						{/if}
					</li>
				{/each}
			</ol>
			<Button kind="tertiary" size="small" on:click={() => desk.removeGoal(ladder)}>
				Remove goal<span class="visually-hidden">: {line.name}</span>
			</Button>
		</div>
	{:else}
		<p class="quiet">
			Choose what the group should be able to do. The steps to it are worked out, and each step comes at least
			as often as you set.
		</p>
	{/each}
	{#if desk.series.ladders.length < SERIES_LIMITS.ladders}
		<div class="row">
			<Choice
				label="Toward"
				value={slug}
				options={[{ value: '', text: 'a movement or a purpose …' }]}
				groups={[
					{ label: 'A purpose', options: AIMS },
					{
						label: 'A movement',
						options: movements.map((movement) => ({ value: movement.slug, text: movement.english }))
					}
				]}
				onpick={choose}
			/>
			{#if chosen}
				<Choice
					label="Form"
					value={form}
					options={chosen.forms.map(({ id, how }) => ({ value: id, text: `${id}: ${how}` }))}
					onpick={(picked) => (form = picked)}
				/>
			{/if}
		</div>
		<div><Button kind="tertiary" size="small" disabled={!chosen} on:click={add}>Add this goal</Button></div>
	{/if}
</fieldset>

<style>
	.ladder {
		border-bottom: 1px solid var(--line);
		padding-bottom: 0.5rem;
	}
	ol {
		margin: 0.2rem 0 0.4rem;
		padding-left: 1.4rem;
		font-size: var(--text-s);
		line-height: 1.7;
	}
</style>
