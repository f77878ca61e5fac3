<script lang="ts">
	import Care from '$lib/ui/print/Care.svelte';
	import PrintPage from '$lib/ui/print/PrintPage.svelte';
	import Ring from '$lib/ui/chart/Ring.svelte';

	let { data } = $props();
</script>

<PrintPage title="Schedule: {data.title}" back={{ href: `/series/${data.id}`, words: 'Back to the series' }}>
	<article>
		<header>
			<h1>{data.title}</h1>
			<p>{data.group}{data.room ? `, ${data.room}` : ''}</p>
			{#if data.goal}<p class="goal">{data.goal}</p>{/if}
		</header>
		<ol class="weeks">
			{#each data.weeks as week (week.number)}
				<li>
					<h2>
						Week {week.number}
						{#if !week.empty}<Ring sectors={week.ring} size={26} />{/if}
					</h2>
					{#if week.theme}<p class="theme">{week.theme}</p>{/if}
					{#if week.easier || week.retest}
						<p class="quiet">
							{[week.easier ? 'an easier week' : '', week.retest ? data.test : ''].filter(Boolean).join('; ')}
						</p>
					{/if}
					{#each week.classes as c (c.id)}
						<p class="class"><b>{c.day}</b> {c.startsAt}</p>
						<ul>
							{#each c.rungs as rung, index (index)}<li>{rung}</li>{/each}
						</ul>
					{:else}
						<p class="quiet">No class</p>
					{/each}
				</li>
			{/each}
		</ol>
		<Care />
	</article>
</PrintPage>

<style>
	article {
		background: var(--sheet);
		border: 1px solid var(--line);
		padding: 1.25rem 1.5rem;
	}
	header {
		margin-bottom: 1rem;
	}
	.goal {
		font-size: var(--text-l);
		overflow-wrap: anywhere;
	}
	.weeks {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		grid-template-columns: repeat(4, minmax(0, 1fr));
		gap: 0.75rem;
	}
	.weeks > li {
		border: 1px solid var(--line);
		border-radius: var(--radius);
		padding: 0.5rem 0.7rem;
		break-inside: avoid;
	}
	h2 {
		font-size: var(--text-m);
		display: flex;
		justify-content: space-between;
		align-items: center;
		min-height: 26px;
	}
	.theme {
		font-weight: 600;
		overflow-wrap: anywhere;
	}
	.class {
		margin-top: 0.4rem;
	}
	ul {
		margin: 0;
		padding: 0;
		list-style: none;
		font-size: var(--text-xs);
	}
	@media (max-width: 48rem) {
		.weeks {
			grid-template-columns: minmax(0, 1fr);
		}
	}
	@page {
		size: A4 landscape;
		margin: 10mm;
	}
	@media print {
		article {
			border: 0;
			padding: 0;
			font-size: 10pt;
		}
		.weeks {
			grid-template-columns: repeat(4, minmax(0, 1fr));
		}
	}
</style>
