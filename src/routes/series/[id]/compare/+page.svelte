<script lang="ts">
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';

	let { data } = $props();
</script>

<svelte:head><title>Compare: {data.a.title} · Humble Orbit</title></svelte:head>

<p><a href="/series/{data.a.id}">Back to the series</a></p>
<h1>{data.a.title} <span class="quiet">{data.a.group}</span></h1>
<div class="with">
	<Choice
		label="Compared with"
		value={data.b.id}
		options={data.others.map((other) => ({ value: other.id, text: other.title }))}
		onpick={(id) => goto(`?with=${id}`)}
	/>
</div>
<section class="sheet" aria-labelledby="figures">
	<h2 id="figures">In figures</h2>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="scroll" tabindex="0" role="region" aria-label="Both series in figures">
		<Table size="compact">
			<TableHead>
				<TableRow>
					<TableHeader>What</TableHeader>
					<TableHeader>This one</TableHeader>
					<TableHeader>{data.b.title}</TableHeader>
				</TableRow>
			</TableHead>
			<TableBody>
				{#each data.lines as line, index (index)}
					<TableRow
						><TableHeader scope="row">{line.name}</TableHeader><TableCell>{line.a}</TableCell><TableCell
							>{line.b}</TableCell
						></TableRow
					>
				{/each}
			</TableBody>
		</Table>
	</div>
</section>
<div class="cols">
	{#each [data.a, data.b] as side (side.id)}
		<section class="sheet" aria-label="Ladders of {side.title}">
			<h2>{side.title} <span class="quiet">{side.group}</span></h2>
			{#each side.ladders as ladder, i (i)}
				<h3>{ladder.name} <span class="quiet">{ladder.goal}</span></h3>
				<ol>
					{#each ladder.rungs as rung, r (r)}<li>{rung}</li>{/each}
				</ol>
			{:else}
				<p class="quiet">No goal yet</p>
			{/each}
		</section>
	{/each}
</div>

<style>
	.with {
		display: flex;
		gap: 0.5rem;
		align-items: baseline;
		margin: 0.3rem 0 1rem;
		flex-wrap: wrap;
	}
	.cols {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(100%, 22rem), 1fr));
		gap: 1rem;
		margin-top: 1rem;
	}
	.scroll {
		overflow-x: auto;
	}
	ol {
		padding-left: 1.4rem;
		font-size: var(--text-s);
	}
	h3 {
		margin-top: 0.6rem;
	}
</style>
