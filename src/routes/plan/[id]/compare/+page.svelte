<script lang="ts">
	import Choice from '$lib/ui/fields/Choice.svelte';
	import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';

	let { data } = $props();
	const against = $derived(data.against);
</script>

<svelte:head><title>Compare: {data.title} · Humble Orbit</title></svelte:head>

<p><a href="/plan/{data.id}">Back to the class</a></p>
<h1>{data.title} <span class="quiet">{data.day}</span></h1>
{#if against}
	<div class="with">
		<Choice
			label="Compared with"
			value={against.id}
			options={data.others.map((other) => ({
				value: other.id,
				text: [other.title, other.day].filter(Boolean).join(', ')
			}))}
			onpick={(id) => goto(`?with=${id}`)}
		/>
	</div>
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
		<Table size="compact">
			<TableHead>
				<TableRow
					><TableHeader>What</TableHeader><TableHeader>The other</TableHeader><TableHeader
						>This one</TableHeader
					><TableHeader>Band</TableHeader></TableRow
				>
			</TableHead>
			<TableBody>
				<TableRow
					><TableHeader scope="row">length</TableHeader><TableCell>{against.totalBefore}</TableCell><TableCell
						>{against.totalAfter}</TableCell
					><TableCell></TableCell></TableRow
				>
				<TableRow
					><TableHeader scope="row">items</TableHeader><TableCell>{against.items.before}</TableCell><TableCell
						>{against.items.after}</TableCell
					><TableCell></TableCell></TableRow
				>
				{#each against.shifts as shift, index (index)}
					<TableRow>
						<TableHeader scope="row">{shift.name}</TableHeader><TableCell>{shift.before}</TableCell><TableCell
							>{shift.after}</TableCell
						>
						<TableCell>{shift.within ? 'within' : 'outside'}</TableCell>
					</TableRow>
				{/each}
			</TableBody>
		</Table>
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
</style>
