<script lang="ts">
	import type { TestResult } from '$lib/core/measure';
	import Care from '$lib/ui/print/Care.svelte';
	import PrintPage from '$lib/ui/print/PrintPage.svelte';

	let { data } = $props();
	const { account } = $derived(data);
</script>

{#snippet words(results: readonly TestResult[], whose = '')}
	{#each results as result, i (i)}
		<h3>{whose}{result.name} <span class="quiet">{result.region}</span></h3>
		<ul>
			{#each result.words as sentence, s (s)}<li>{sentence}</li>{/each}
		</ul>
	{/each}
{/snippet}

<PrintPage
	title="What changed: {data.title}"
	back={{ href: `/series/${data.id}`, words: 'Back to the series' }}
>
	<article>
		<header>
			<h1>{data.title}: what changed</h1>
			<p>{data.group}, {account.from} to {account.to}</p>
			{#if data.goal}<p class="goal">{data.goal}</p>{/if}
		</header>
		<p data-testid="account">
			{account.taught} of {account.planned} classes were taught{account.minutes
				? `, ${account.minutes} minutes in all`
				: ''}{account.effort === null ? '' : `, mean effort ${account.effort} of 10`}.
		</p>
		{#if data.changed.length}
			<section aria-labelledby="changed">
				<h2 id="changed">Changed by more than the error of measuring</h2>
				{@render words(data.changed)}
			</section>
		{/if}
		{#if data.unchanged.length}
			<section aria-labelledby="unchanged">
				<h2 id="unchanged">No measurable change</h2>
				{@render words(data.unchanged)}
			</section>
		{/if}
		{#if data.once.length}<p class="quiet">Tested only once: {data.once.join(', ')}.</p>{/if}
		{#if !data.changed.length && !data.unchanged.length}
			<p>
				No test was taken twice in these weeks. The test of this series is {data.test}:
				<a href="/group/{data.groupId}/check-in?test={data.testId}">count the group</a>.
			</p>
		{/if}
		{#if data.withNames}
			<section aria-labelledby="people">
				<h2 id="people">People</h2>
				{#each data.people as { id, name, results } (id)}
					{@render words(results, `${name}: `)}
				{:else}
					<p class="quiet">No person had a check-in in these weeks.</p>
				{/each}
			</section>
		{/if}
		<p class="no-print">
			{#if data.withNames}<a href="?">Without names</a>{:else}<a href="?names">With names, for you only</a
				>{/if}
		</p>
		<Care />
	</article>
</PrintPage>

<style>
	article {
		background: var(--sheet);
		border: 1px solid var(--line);
		padding: 1.25rem 1.5rem;
		display: grid;
		gap: 0.9rem;
	}
	.goal {
		font-size: var(--text-l);
		overflow-wrap: anywhere;
	}
	h3 span {
		font-weight: 400;
	}
	ul {
		margin: 0.2rem 0 0.6rem;
		padding-left: 1.1rem;
		max-width: 68ch;
	}
	@media print {
		article {
			border: 0;
			padding: 0;
			font-size: 10pt;
		}
		.no-print {
			display: none;
		}
	}
</style>
