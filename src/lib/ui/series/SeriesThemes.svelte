<script lang="ts">
	import type { SeriesDesk } from '$lib/client/series/series-desk.svelte';
	import { DIRECTION_NAME, DIRECTIONS } from '$lib/core/anatomy';
	import { AIMS } from '$lib/core/movement';
	import { SERIES_LIMITS } from '$lib/core/series';

	/** What each week is about; a week can be put in before any other. */
	interface Props {
		desk: SeriesDesk;
	}
	let { desk }: Props = $props();

	const weeks = $derived(Array.from({ length: desk.series.weeks }, (_, i) => i + 1));
	const { movements } = $derived(desk);

	/** A movement by its name; nothing typed takes it away. */
	function lead(week: number, event: Event) {
		const name = value(event).trim();
		const found = movements.find(({ english }) => english.toLowerCase() === name.toLowerCase());
		if (name && !found) desk.say(`There is no movement called ${name}.`);
		else desk.theme(week, { toward: found?.slug });
	}
	/** A direction or a purpose; choosing the one takes the other away. */
	function aim(week: number, chosen: string) {
		desk.theme(week, {
			more: DIRECTIONS.find((one) => one === chosen),
			purpose: AIMS.find((one) => one === chosen)
		});
	}
	const value = (event: Event) => (event.currentTarget as HTMLInputElement).value;
</script>

<fieldset>
	<legend>Themes</legend>
	<div class="themes">
		{#each weeks as week, index (index)}
			{@const theme = desk.series.themes[week - 1]}
			<div class="theme">
				<span class="number">{week}</span>
				<input
					type="text"
					maxlength="120"
					aria-label="Theme of week {week}"
					value={theme?.words ?? ''}
					oninput={(event) => desk.theme(week, { words: value(event) }, `theme ${week}`)}
				/>
				<select
					aria-label="Week {week} gives more of"
					value={theme?.purpose ?? theme?.more ?? ''}
					onchange={(event) => aim(week, value(event))}
				>
					<option value="">as usual</option>
					<optgroup label="A direction">
						{#each DIRECTIONS as direction (direction)}
							<option value={direction}>{DIRECTION_NAME[direction]}</option>
						{/each}
					</optgroup>
					<optgroup label="A purpose">
						{#each AIMS as purpose (purpose)}<option value={purpose}>{purpose}</option>{/each}
					</optgroup>
				</select>
				<input
					type="text"
					list="movement-names"
					placeholder="leads up to …"
					aria-label="Week {week} leads up to"
					value={theme?.toward ? desk.nameOf(theme.toward) : ''}
					onchange={(event) => lead(week, event)}
				/>
				<button
					type="button"
					class="pill"
					aria-label="Put a week in before week {week}"
					disabled={desk.series.weeks >= SERIES_LIMITS.weeks}
					onclick={() => desk.insertWeek(week)}>Week before</button
				>
			</div>
		{/each}
	</div>
	<datalist id="movement-names">
		{#each movements as { slug, english } (slug)}<option value={english}></option>{/each}
	</datalist>
</fieldset>

<style>
	.themes {
		display: grid;
		gap: 0.35rem;
	}
	.theme {
		display: grid;
		grid-template-columns: 1.4rem minmax(4rem, 2fr) minmax(4rem, 1.2fr) minmax(4rem, 1.4fr) auto;
		gap: 0.4rem;
		align-items: center;
	}
	.number {
		font-weight: 650;
		text-align: right;
	}
	.pill {
		font-size: var(--text-xs);
		padding: 0.2rem 0.5rem;
		white-space: nowrap;
	}
</style>
