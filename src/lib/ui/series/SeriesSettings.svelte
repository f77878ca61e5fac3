<script lang="ts">
	import Words from '$lib/ui/fields/Words.svelte';
	import Tick from '$lib/ui/fields/Tick.svelte';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import type { SeriesDesk } from '$lib/client/series/series-desk.svelte';
	import { HIP_TESTS, TEST_IDS } from '$lib/core/hip-tests';
	import SeriesDays from './SeriesDays.svelte';
	import SeriesGoals from './SeriesGoals.svelte';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import SeriesThemes from './SeriesThemes.svelte';

	/** Settings of a series: dates, goals with their ladders, themes, and the rules of progress. */
	interface Props {
		desk: SeriesDesk;
	}
	let { desk }: Props = $props();

	const series = $derived(desk.series);
	function toggleRetest(week: number) {
		const { weeks } = series.retest;
		const next = weeks.includes(week) ? weeks.filter((w) => w !== week) : [...weeks, week];
		desk.settings({ retest: { ...series.retest, weeks: next.sort((a, b) => a - b) } });
	}
	const weekNumbers = $derived(Array.from({ length: series.weeks }, (_, i) => i + 1));
</script>

{#snippet count(
	label: string,
	field: 'repeats' | 'mostNew' | 'mostUpPercent' | 'keepPercent',
	least: number,
	most: number
)}
	<NumberField
		{label}
		{least}
		{most}
		value={series[field]}
		onchange={(number) => desk.settings({ [field]: number ?? least })}
	/>
{/snippet}

<div class="form-fields settings">
	<fieldset>
		<legend>The series</legend>
		<Words
			label="Title"
			most={120}
			value={series.title}
			oninput={(title) => desk.settings({ title }, '', 'title')}
		/>
		<Words
			label="Goal in your own words"
			rows={2}
			most={1000}
			value={series.goal}
			oninput={(goal) => desk.settings({ goal }, '', 'goal')}
		/>
	</fieldset>

	<SeriesDays {desk} />
	<SeriesGoals {desk} />

	<fieldset>
		<legend>Progression</legend>
		<div class="row">
			<Choice
				label="An easier week every"
				value={series.easierEvery}
				options={[
					{ value: 0, text: 'never' },
					...[2, 3, 4, 5, 6].map((weeks) => ({ value: weeks, text: `${weeks} weeks` }))
				]}
				onpick={(easierEvery) => desk.settings({ easierEvery })}
			/>
			{@render count('Times each rung comes, at least', 'repeats', 1, 12)}
			{@render count('New movements per class, at most', 'mostNew', 0, 12)}
			{@render count('Load rise per week, at most (%)', 'mostUpPercent', 0, 100)}
			{@render count('Kept from the last class (%)', 'keepPercent', 0, 100)}
			<Choice
				label="The test"
				value={series.retest.test}
				options={TEST_IDS.map((test) => ({ value: test, text: HIP_TESTS[test].name }))}
				onpick={(test) => desk.settings({ retest: { ...series.retest, test } })}
			/>
		</div>
		<div class="checks" role="group" aria-label="Weeks with the test">
			<span class="quiet">Test in week</span>
			{#each weekNumbers as week, index (index)}
				<Tick
					label={String(week)}
					under="Test in week"
					checked={series.retest.weeks.includes(week)}
					onchange={() => toggleRetest(week)}
				/>
			{/each}
		</div>
	</fieldset>
</div>
<Fold title="Weekly themes"><div class="form-fields"><SeriesThemes {desk} /></div></Fold>

<style>
	.settings {
		columns: 2 26rem;
		column-gap: 1rem;
	}
	.settings :global(fieldset) {
		break-inside: avoid;
		margin-bottom: 1rem;
	}
</style>
