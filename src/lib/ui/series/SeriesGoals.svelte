<script lang="ts">
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

	function choose(event: Event) {
		const { value } = event.currentTarget as HTMLSelectElement;
		const goal = desk.goalFor(value);
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
							<button
								type="button"
								class="pill small"
								aria-label="Leave out the rung {rung}"
								onclick={() => desk.removeRung(ladder, i)}>Leave out</button
							>
						{/if}
					</li>
				{/each}
			</ol>
			<button type="button" class="pill" onclick={() => desk.removeGoal(ladder)}>
				Take the goal out<span class="visually-hidden">: {line.name}</span>
			</button>
		</div>
	{:else}
		<p class="quiet">
			Choose what the group shall be able to do; the way there is worked out, and each step comes at least as
			often as you say.
		</p>
	{/each}
	{#if desk.series.ladders.length < SERIES_LIMITS.ladders}
		<div class="row">
			<label>
				Toward
				<select value={slug} onchange={choose}>
					<option value="">a movement or a purpose …</option>
					<optgroup label="A purpose">
						{#each AIMS as purpose (purpose)}<option value={purpose}>{purpose}</option>{/each}
					</optgroup>
					<optgroup label="A movement">
						{#each movements as movement (movement.slug)}
							<option value={movement.slug}>{movement.english}</option>
						{/each}
					</optgroup>
				</select>
			</label>
			{#if chosen}
				<label>
					In which form
					<select bind:value={form}>
						{#each chosen.forms as { id, how } (id)}<option value={id}>{id}: {how}</option>{/each}
					</select>
				</label>
			{/if}
		</div>
		<div><button type="button" class="pill" disabled={!chosen} onclick={add}>Add this goal</button></div>
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
	.small {
		font-size: var(--text-xs);
		min-height: 24px;
		padding: 0 0.5rem;
		border-color: var(--line-strong);
		color: var(--ink-soft);
	}
	.pill:disabled {
		border-color: var(--line);
		color: var(--ink-soft);
		cursor: default;
	}
</style>
