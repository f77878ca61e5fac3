<script lang="ts">
	import { goto } from '$app/navigation';

	let { data } = $props();
</script>

<svelte:head><title>Compare: {data.a.title} · Humble Orbit</title></svelte:head>

<p><a href="/series/{data.a.id}">Back to the series</a></p>
<h1>{data.a.title} <span class="quiet">{data.a.group}</span></h1>
<p class="with">
	<label for="with">beside</label>
	<select id="with" value={data.b.id} onchange={(event) => goto(`?with=${event.currentTarget.value}`)}>
		{#each data.others as other (other.id)}<option value={other.id}>{other.title}</option>{/each}
	</select>
</p>
<section class="sheet" aria-labelledby="figures">
	<h2 id="figures">In figures</h2>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="scroll" tabindex="0" role="region" aria-label="Both series in figures">
		<table class="figures">
			<thead>
				<tr>
					<th scope="col">What</th>
					<th scope="col">This one</th>
					<th scope="col">{data.b.title}</th>
				</tr>
			</thead>
			<tbody>
				{#each data.lines as line, index (index)}
					<tr><th scope="row">{line.name}</th><td>{line.a}</td><td>{line.b}</td></tr>
				{/each}
			</tbody>
		</table>
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
	th,
	td {
		border-top: 1px solid var(--line);
	}
	thead th {
		border: 0;
		font-weight: 650;
	}
	ol {
		padding-left: 1.4rem;
		font-size: var(--text-s);
	}
	h3 {
		margin-top: 0.6rem;
	}
</style>
