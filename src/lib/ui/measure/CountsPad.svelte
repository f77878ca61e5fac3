<script lang="ts">
	import { LEGS, type Leg } from '$lib/core/anatomy';
	import {
		GRADINGS,
		GRADES,
		HIP_TESTS,
		NOBODY,
		peopleIn,
		STOPS,
		withOneMore,
		withOneStop,
		type GradeCounts,
		type Sides,
		type StopCounts,
		type TestId
	} from '$lib/core/hip-tests';
	import { Button } from 'carbon-components-svelte';
	import { untrack } from 'svelte';

	/** A group counted by taps while it stands in a test: how many reach which grade, left and right. */
	interface Props {
		test: TestId;
		busy: boolean;
		/** Earlier counts to continue from. */
		from?: Sides<GradeCounts>;
		stopsFrom?: StopCounts;
		onkeep: (counts: Sides<GradeCounts>, stops: StopCounts) => void;
	}
	let { test, busy, from = { left: NOBODY, right: NOBODY }, stopsFrom = {}, onkeep }: Props = $props();

	let counts = $state.raw<Sides<GradeCounts>>(untrack(() => from));
	let stops = $state.raw<StopCounts>(untrack(() => stopsFrom));
	const sides = $derived<readonly Leg[]>(HIP_TESTS[test].sided ? LEGS : ['left']);
	const tap = (leg: Leg, grade: number, by: 1 | -1) =>
		(counts = { ...counts, [leg]: withOneMore(counts[leg], grade, by) });
	const total = $derived(
		sides.map((leg) => `${HIP_TESTS[test].sided ? `${leg} ` : ''}${peopleIn(counts[leg])}`)
	);
</script>

<div class="pad" class:two={sides.length > 1}>
	{#each sides as leg, i (i)}
		<fieldset>
			<legend>{sides.length > 1 ? leg : 'people'}</legend>
			{#each GRADES as grade (grade)}
				<div class="row">
					<Button
						kind="tertiary"
						size="field"
						aria-label="One more {sides.length > 1 ? `${leg}, ` : ''}grade {grade}: {GRADINGS[test].grades[
							grade
						]}"
						on:click={() => tap(leg, grade, 1)}
					>
						<span class="count">{counts[leg][grade]}</span>
						<span class="words">{grade}: {GRADINGS[test].grades[grade]}</span>
					</Button>
					<Button
						kind="ghost"
						size="field"
						disabled={counts[leg][grade] === 0}
						aria-label="One fewer {sides.length > 1 ? `${leg}, ` : ''}grade {grade}"
						on:click={() => tap(leg, grade, -1)}>−</Button
					>
				</div>
			{/each}
		</fieldset>
	{/each}
</div>
<fieldset>
	<legend>Where does it stop? One tap for each person</legend>
	<div class="stops">
		{#each STOPS as stop (stop)}
			<div class="row">
				<Button
					kind="tertiary"
					size="field"
					aria-label="One more {stop}"
					on:click={() => (stops = withOneStop(stops, stop, 1))}
				>
					<span class="count">{stops[stop] ?? 0}</span>
					<span class="words">{stop}</span>
				</Button>
				<Button
					kind="ghost"
					size="field"
					disabled={!stops[stop]}
					aria-label="One fewer {stop}"
					on:click={() => (stops = withOneStop(stops, stop, -1))}>−</Button
				>
			</div>
		{/each}
	</div>
</fieldset>
<p role="status" class="quiet">Counted: {total.join(', ')}</p>
<p>
	<Button
		size="field"
		disabled={busy || sides.every((leg) => peopleIn(counts[leg]) === 0)}
		on:click={() => onkeep(counts, stops)}>Keep these counts</Button
	>
</p>

<style>
	.pad {
		display: grid;
		gap: 1rem;
	}
	.pad.two {
		grid-template-columns: repeat(auto-fit, minmax(18rem, 1fr));
	}
	fieldset {
		display: grid;
		gap: 0.3rem;
		min-width: 0;
	}
	.stops {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
		gap: 0.3rem 1rem;
	}
	.row {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 0.3rem;
	}
	.row :global(.bx--btn) {
		max-width: none;
		width: 100%;
		justify-content: start;
		gap: 0.75rem;
		padding-right: 1rem;
	}
	.count {
		min-width: 1.6rem;
		font-size: var(--text-l);
		font-weight: 650;
		text-align: right;
	}
	.words {
		text-align: left;
		white-space: normal;
	}
</style>
