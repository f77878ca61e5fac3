<script lang="ts">
	import { goto } from '$app/navigation';

	let { data } = $props();
	const against = $derived(data.against);
</script>

<svelte:head><title>Compare: {data.title} · Humble Orbit</title></svelte:head>

<p><a href="/plan/{data.id}">Back to the desk</a></p>
<h1>{data.title} <span class="quiet">{data.day}</span></h1>
{#if against}
	<p class="with">
		<label for="with">compared with</label>
		<select id="with" value={against.id} onchange={(event) => goto(`?with=${event.currentTarget.value}`)}>
			{#each data.others as other (other.id)}
				<option value={other.id}>{[other.title, other.day].filter(Boolean).join(', ')}</option>
			{/each}
		</select>
	</p>
	<p>{against.likeness} of its items are in the other class too, {against.same} of them just the same.</p>
	<div class="cols">
		<section class="sheet" aria-labelledby="came">
			<h2 id="came">Only in this class <span class="quiet">{against.came.length}</span></h2>
			<ul>
				{#each against.came as name, i (i)}<li>{name}</li>{:else}<li class="quiet">nothing</li>{/each}
			</ul>
		</section>
		<section class="sheet" aria-labelledby="went">
			<h2 id="went">Only in the other <span class="quiet">{against.went.length}</span></h2>
			<ul>
				{#each against.went as name, i (i)}<li>{name}</li>{:else}<li class="quiet">nothing</li>{/each}
			</ul>
		</section>
		<section class="sheet" aria-labelledby="changed">
			<h2 id="changed">In both, not the same <span class="quiet">{against.changed.length}</span></h2>
			<p class="quiet">The other class → this one</p>
			<ul>
				{#each against.changed as item, i (i)}
					<li>
						<b>{item.name}</b>
						{#each item.fields as { field, before, after }, index (index)}
							<span>{field} {before} → {after}</span>
						{/each}
					</li>
				{:else}<li class="quiet">nothing</li>{/each}
			</ul>
		</section>
	</div>
	<section class="sheet" aria-labelledby="balance">
		<h2 id="balance">Clock and balance</h2>
		<table>
			<thead>
				<tr
					><th scope="col">What</th><th scope="col">The other</th><th scope="col">This one</th><th scope="col"
						>Band</th
					></tr
				>
			</thead>
			<tbody>
				<tr
					><th scope="row">length</th><td>{against.totalBefore}</td><td>{against.totalAfter}</td><td></td></tr
				>
				<tr
					><th scope="row">items</th><td>{against.items.before}</td><td>{against.items.after}</td><td
					></td></tr
				>
				{#each against.shifts as shift, index (index)}
					<tr>
						<th scope="row">{shift.name}</th><td>{shift.before}</td><td>{shift.after}</td>
						<td>{shift.within ? 'within' : 'outside'}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</section>
{:else}
	<p>This group has no other class yet to compare it with.</p>
{/if}

<style>
	.with {
		display: flex;
		gap: 0.5rem;
		align-items: center;
		flex-wrap: wrap;
		margin: 0.4rem 0;
	}
	select {
		min-width: 0;
		height: 2.2rem;
		border: 1px solid var(--line-strong);
		border-radius: 6px;
		background: var(--sheet);
		color: var(--ink);
	}
	.cols {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(16rem, 100%), 1fr));
		gap: 1rem;
		margin: 0.75rem 0 1rem;
		align-items: start;
	}
	ul {
		list-style: none;
		margin: 0.4rem 0 0;
		padding: 0;
		display: grid;
		gap: 0.25rem;
	}
	li span {
		display: inline-block;
		margin-left: 0.6rem;
		font-size: var(--text-s);
	}
	table {
		border-collapse: collapse;
		margin-top: 0.4rem;
	}
	th,
	td {
		text-align: left;
		padding: 0.25rem 1.5rem 0.25rem 0;
		border-top: 1px solid var(--line);
	}
</style>
