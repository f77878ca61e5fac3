<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { weeksChart } from '$lib/client/charts/weeks-chart';
	import Chart from '$lib/ui/chart/Chart.svelte';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import WithoutPlan from '$lib/ui/record/WithoutPlan.svelte';
	import { Button, DataTable, TextInput } from 'carbon-components-svelte';

	let { data } = $props();

	const HEADERS = [
		{ key: 'day', value: 'Day' },
		{ key: 'title', value: 'Class' },
		{ key: 'minutes', value: 'Minutes' },
		{ key: 'effort', value: 'Effort' },
		{ key: 'people', value: 'People' },
		{ key: 'leftOut', value: 'Left out' },
		{ key: 'note', value: 'Note' }
	] as const;
	const pageFrom = (from: number) => `?${new URLSearchParams({ q: data.asked, from: String(from) })}`;
	const rows = $derived(
		data.rows.map(({ id, planId, day, title, run, leftOut }) => ({
			id,
			planId,
			day: `${day}, ${run.startsAt}`,
			title: title || 'Untitled class',
			minutes: run.minutes,
			effort: run.effort ?? '',
			people: run.attendance ?? '',
			leftOut: leftOut.join(', '),
			note: run.note
		}))
	);
</script>

<svelte:head><title>History: {data.group} · Humble Orbit</title></svelte:head>

<p><a href="/group/{data.id}">Back to the group</a></p>
<h1>History: {data.group}</h1>
{#if data.words.length}
	<section class="sheet" aria-labelledby="weeks-title">
		<h2 id="weeks-title">Over the weeks</h2>
		<ul>
			{#each data.words as words, i (i)}<li>{words}</li>{/each}
		</ul>
		{#if data.weeks}
			<Chart
				title="Minutes per class"
				label={data.words[0] ?? ''}
				option={weeksChart(data.weeks)}
				table={data.weeks.table}
				height="12rem"
			/>
		{/if}
	</section>
{/if}
<Fold title="Record a class without a plan">
	<WithoutPlan groupId={data.id} today={data.today} onkept={() => invalidateAll()} />
</Fold>
<form method="GET" role="search">
	<TextInput name="q" labelText="Search titles, days, notes and omissions" value={data.asked} />
	<Button type="submit" kind="tertiary" size="field">Search</Button>
	<a href="/group/{data.id}/taught/file" download>Export as CSV</a>
</form>
<p role="status" class="quiet">
	{data.asked ? `${data.found} of ${data.all} classes` : `${data.all} classes, the newest first`}
</p>
{#if rows.length}
	<div class="table">
		<DataTable headers={HEADERS} {rows}>
			<svelte:fragment slot="cell" let:row let:cell>
				{#if cell.key === 'title' && row.planId}
					<a href="/plan/{row.planId}/taught">{cell.value}</a>
				{:else}{cell.value}{/if}
			</svelte:fragment>
		</DataTable>
	</div>
	{#if data.older !== null || data.newer !== null}
		<nav aria-label="Pages of the history" class="pages">
			{#if data.newer !== null}<a href={pageFrom(data.newer)}>Newer classes</a>{/if}
			<span class="quiet">{data.from + 1} to {data.from + rows.length}</span>
			{#if data.older !== null}<a href={pageFrom(data.older)}>Older classes</a>{/if}
		</nav>
	{/if}
{:else if !data.asked}
	<p>No class of this group is recorded yet. Teach one, or record it from its page.</p>
{/if}

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 0.75rem;
		margin: 0.75rem 0;
	}
	form :global(.bx--form-item) {
		max-width: 26rem;
	}
	section {
		display: grid;
		gap: 0.5rem;
		margin: 0.75rem 0;
	}
	ul {
		margin: 0;
		padding-left: 1.1rem;
		max-width: 72ch;
	}
	.pages {
		display: flex;
		gap: 1rem;
		margin-top: 0.5rem;
	}
	.table {
		overflow-x: auto;
	}
</style>
