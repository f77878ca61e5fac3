<script lang="ts">
	import type { TeachingSession } from '$lib/client/teach/teaching-session.svelte';
	import { GRADINGS, HIP_TESTS, type GradeCounts, type Sides, type StopCounts } from '$lib/core/hip-tests';
	import { momentOfTest } from '$lib/core/teach';
	import { Modal } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import CountsPad from '../measure/CountsPad.svelte';

	/** The group is counted in the test that is given now, while people stand in it. */
	interface Props {
		run: TeachingSession;
		onclose: () => void;
	}
	let { run, onclose }: Props = $props();

	// of the test in which it was opened, wherever the clock goes meanwhile
	const { test, moment, before } = untrack(() => {
		const { id, test: which } = run.now.step;
		const when = momentOfTest(run.pack.script, id);
		const known = run.state.counts.find((one) => one.test === which && one.moment === when);
		return { test: which, moment: when, before: known };
	});

	function keep(counts: Sides<GradeCounts>, stops: StopCounts) {
		const asked = Object.keys(stops).length > 0;
		if (test) run.does({ do: 'count', test, moment, counts, ...(asked ? { stops } : {}) });
		onclose();
	}
</script>

{#if test}
	<Modal
		open
		passiveModal
		hasScrollingContent
		selectorPrimaryFocus=".bx--modal-close"
		modalHeading="Count: {HIP_TESTS[test].name}"
		on:close={onclose}
	>
		<div class="parts">
			<p>{HIP_TESTS[test].look}</p>
			<p class="quiet">{GRADINGS[test].caution} Pain means stop.</p>
			<CountsPad
				{test}
				busy={false}
				{...before ? { from: before.counts, stopsFrom: before.stops ?? {} } : {}}
				onkeep={keep}
			/>
			<p class="quiet">No names. It is saved with the group’s check-ins, as counted {moment}.</p>
		</div>
	</Modal>
{/if}

<style>
	.parts {
		display: grid;
		gap: 0.75rem;
	}
</style>
