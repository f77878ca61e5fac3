<script lang="ts">
	import type { SeriesDesk } from '$lib/client/series/series-desk.svelte';
	import Words from '$lib/ui/fields/Words.svelte';
	import { Button } from 'carbon-components-svelte';
	import SeriesDays from './SeriesDays.svelte';
	import SeriesGoals from './SeriesGoals.svelte';

	/** Form for a new series: its goal, its end, its days. Everything else starts at its usual value. */
	interface Props {
		desk: SeriesDesk;
		onpropose: () => void;
		onsettings: () => void;
	}
	let { desk, onpropose, onsettings }: Props = $props();
</script>

<h2 id="start">What should the group be able to do, and by when?</h2>
<div class="form-fields start">
	<div>
		<SeriesGoals {desk} />
		<Words
			label="In your own words (optional)"
			rows={2}
			most={1000}
			value={desk.series.goal}
			oninput={(goal) => desk.settings({ goal }, '', 'goal')}
		/>
	</div>
	<SeriesDays {desk} />
</div>
<div class="act">
	<Button size="small" disabled={desk.proposing !== null || !desk.waiting} on:click={onpropose}
		>Propose {desk.waiting === 1 ? 'the class' : `all ${desk.waiting} classes`}</Button
	>
	<Button size="small" kind="ghost" on:click={onsettings}>All settings</Button>
</div>

<style>
	.start {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(24rem, 100%), 1fr));
		gap: 1rem;
		align-items: start;
		margin: 0.75rem 0;
	}
	.start > div {
		display: grid;
		gap: 0.75rem;
	}
	.act {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
	}
</style>
