<script lang="ts">
	import Words from '$lib/ui/fields/Words.svelte';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { Button, ComboBox } from 'carbon-components-svelte';
	import type { SeriesDesk } from '$lib/client/series/series-desk.svelte';
	import { DIRECTION_NAME, DIRECTIONS } from '$lib/core/anatomy';
	import { AIMS } from '$lib/core/movement';
	import { SERIES_LIMITS } from '$lib/core/series';

	/** Theme of each week; a week can be inserted before any other. */
	interface Props {
		desk: SeriesDesk;
	}
	let { desk }: Props = $props();

	const weeks = $derived(Array.from({ length: desk.series.weeks }, (_, i) => i + 1));
	const { movements } = $derived(desk);

	/** A direction or a purpose; choosing the one takes the other away. */
	function aim(week: number, chosen: string) {
		desk.theme(week, {
			more: DIRECTIONS.find((one) => one === chosen),
			purpose: AIMS.find((one) => one === chosen)
		});
	}
	const id = $props.id();
	const items = $derived(movements.map(({ slug, english }) => ({ id: slug, text: english })));
</script>

<fieldset>
	<legend>Themes</legend>
	<div class="themes">
		{#each weeks as week, index (index)}
			{@const theme = desk.series.themes[week - 1]}
			<div class="theme">
				<span class="number">{week}</span>
				<Words
					hideLabel
					label="Theme of week {week}"
					most={120}
					value={theme?.words ?? ''}
					oninput={(words) => desk.theme(week, { words }, `theme ${week}`)}
				/>
				<Choice
					hideLabel
					label="Week {week} gives more of"
					value={theme?.purpose ?? theme?.more ?? ''}
					options={[{ value: '', text: 'as usual' }]}
					groups={[
						{
							label: 'A direction',
							options: DIRECTIONS.map((value) => ({ value, text: DIRECTION_NAME[value] }))
						},
						{ label: 'A purpose', options: AIMS }
					]}
					onpick={(chosen) => aim(week, chosen)}
				/>
				<ComboBox
					id="{id}-toward-{week}"
					size="sm"
					hideLabel
					labelText="Week {week} leads up to"
					placeholder="leads up to …"
					selectedId={theme?.toward}
					{items}
					shouldFilterItem={(item, typed) => item.text.toLowerCase().includes(typed.toLowerCase())}
					on:select={(event) => desk.theme(week, { toward: event.detail.selectedId })}
					on:clear={() => desk.theme(week, { toward: undefined })}
				/>
				<Button
					kind="tertiary"
					size="small"
					aria-label="Insert a week before week {week}"
					disabled={desk.series.weeks >= SERIES_LIMITS.weeks}
					on:click={() => desk.insertWeek(week)}>Insert week</Button
				>
			</div>
		{/each}
	</div>
</fieldset>

<style>
	.themes {
		display: grid;
		gap: 0.35rem;
	}
	.theme {
		display: grid;
		grid-template-columns: 1.4rem repeat(3, minmax(0, 1fr)) auto;
		gap: 0.3rem 0.6rem;
		align-items: center;
	}
	.number {
		font-weight: 650;
		text-align: right;
	}
	@media (max-width: 56rem) {
		.theme {
			grid-template-columns: 1.4rem minmax(0, 1fr);
			padding-bottom: 0.5rem;
			border-bottom: 1px solid var(--line);
		}
		.theme > :global(:not(.number)) {
			grid-column: 2;
		}
	}
</style>
