<script lang="ts">
	import { create } from '$lib/client/api';
	import type { Caution } from '$lib/core/movement';
	import type { CautionCount } from '$lib/core/people';
	import {
		cautionLinesAtTest,
		GRADINGS,
		HIP_TESTS,
		MOMENTS_OF_TEST,
		SOURCES,
		TEST_IDS,
		type CheckIn,
		type MomentOfTest,
		type ReadingSource,
		type TestId
	} from '$lib/core/hip-tests';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { untrack } from 'svelte';
	import CountsPad from './CountsPad.svelte';
	import ReadingsPad from './ReadingsPad.svelte';

	/** Takes a check-in: of a whole group by counts, or of one person by readings. */
	interface Props {
		groupId: string;
		students: { id: string; name: string; cautions: readonly Caution[] }[];
		/** Cautions in the group: some people take another test, or none. */
		cautions: readonly CautionCount[];
		/** The test to begin with. */
		test: TestId;
		onkept: () => Promise<void>;
	}
	let { groupId, students, cautions, test: first, onkept }: Props = $props();

	let test = $state<TestId>(untrack(() => first));
	let moment = $state<MomentOfTest>('before the class');
	/** Id of a person; empty for the whole group. */
	let who = $state('');
	let source = $state<ReadingSource>('by hand');
	let isBusy = $state(false);
	let said = $state('');
	/** Begins the pad anew once what it held is kept. */
	let taken = $state(0);

	const grading = $derived(GRADINGS[test]);
	const person = $derived(students.find(({ id }) => id === who));
	const others = $derived(
		cautionLinesAtTest(test, person ? person.cautions.map((caution) => ({ caution, people: 1 })) : cautions)
	);
	const sources = $derived(grading.scale?.laidOn ? SOURCES : (['by hand'] as const));
	const whose = $derived(person?.name ?? 'the whole group');

	async function keep(document: CheckIn) {
		isBusy = true;
		const body = { document, ...(who ? { student: who } : {}) };
		const answer = await create<{ id: string }>(`/api/groups/${groupId}/check-ins`, body);
		said = answer.ok ? `Kept: ${HIP_TESTS[test].name}, ${whose}` : (answer.messages[0] ?? '');
		if (answer.ok) {
			taken += 1;
			await onkept();
		}
		isBusy = false;
	}
</script>

<div class="choices">
	<Choice
		label="Test"
		value={test}
		options={TEST_IDS.map((id) => ({ value: id, text: HIP_TESTS[id].name }))}
		onpick={(picked) => {
			test = picked;
			source = 'by hand';
		}}
	/>
	<Choice label="When" value={moment} options={MOMENTS_OF_TEST} onpick={(picked) => (moment = picked)} />
	<Choice
		label="Who"
		value={who}
		options={[
			{ value: '', text: 'the whole group, by counts' },
			...students.map(({ id, name }) => ({ value: id, text: name }))
		]}
		onpick={(picked) => (who = picked)}
	/>
	{#if who && sources.length > 1}
		<Choice label="With" value={source} options={sources} onpick={(picked) => (source = picked)} />
	{/if}
</div>
<p>{HIP_TESTS[test].how} <b>{HIP_TESTS[test].look}</b></p>
{#if grading.scale && who}<p class="quiet">
		Read {grading.scale.how}, in {grading.scale.unit}.
	</p>{/if}
<p class="quiet">
	{grading.caution} Pain means stop. Left first, then right; the same person should look each time.
</p>
{#if others.length}
	<ul class="others">
		{#each others as { words }, index (index)}<li>{words}</li>{/each}
	</ul>
{/if}
{#key `${test} ${who} ${source} ${taken}`}
	{#if who}
		<ReadingsPad
			{test}
			{source}
			busy={isBusy}
			onkeep={(readings, stops) =>
				keep({
					kind: 'readings',
					test,
					moment,
					unit: grading.scale?.unit ?? 'grade',
					source,
					readings,
					...(Object.keys(stops).length ? { stops } : {})
				})}
		/>
	{:else}
		<CountsPad
			{test}
			busy={isBusy}
			onkeep={(counts, stops) =>
				keep({
					kind: 'counts',
					test,
					moment,
					counts,
					...(Object.keys(stops).length ? { stops } : {})
				})}
		/>
	{/if}
{/key}
<p role="status">{said}</p>

<style>
	.choices {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
		gap: 0.75rem;
	}
	.others {
		margin: 0;
		padding: 0;
		list-style: none;
	}
	p {
		max-width: 68ch;
	}
</style>
