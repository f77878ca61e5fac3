<script lang="ts">
	import PrintTable from '$lib/ui/primitives/PrintTable.svelte';
	import Care from '$lib/ui/print/Care.svelte';
	import PrintPage from '$lib/ui/print/PrintPage.svelte';
	import Ring from '$lib/ui/chart/Ring.svelte';
	import SeverityMark from '$lib/ui/chart/SeverityMark.svelte';

	let { data } = $props();
	const { shown, lived } = $derived(data);
</script>

<PrintPage title="Each person: {data.title}" back={{ href: `/plan/${data.id}`, words: 'Back to the class' }}>
	<article class="sheet">
		<header>
			<h1>As each person does it: {data.title || 'Untitled class'}</h1>
			<p>
				{data.group.name}{data.day ? `, ${data.day}` : ''}: {data.group.size} people.
				<a class="screen" href="/plan/{data.id}/room">Room sheet</a>
			</p>
		</header>
		{#if lived.length > 1}
			<nav aria-label="People" class="screen">
				{#each lived as one (one.id)}
					<a href="?who={one.id}" aria-current={one.id === shown?.id ? 'page' : undefined}>
						{one.name} ({one.people})
						{#if one.findings.length}<SeverityMark severity={one.findings[0]!.severity} />{/if}
					</a>
				{/each}
			</nav>
		{/if}
		{#if shown}
			<section aria-labelledby="who">
				<h2 id="who">{shown.name} ({shown.people})</h2>
				<div class="short">
					<Ring sectors={shown.ring} size={120} label="Balance of what they do" />
					<dl>
						{#each shown.facts as { label, value }, index (index)}
							<div>
								<dt>{label}</dt>
								<dd>{value}</dd>
							</div>
						{/each}
					</dl>
				</div>
				{#if shown.findings.length}
					<h3>Only in their class</h3>
					<ul class="findings">
						{#each shown.findings as { severity, message }, index (index)}
							<li><SeverityMark {severity} /> <span>{message}</span></li>
						{/each}
					</ul>
				{:else}
					<p>The checks find nothing in their class that is not in the class of the room.</p>
				{/if}
			</section>
			<PrintTable>
				<thead>
					<tr><th scope="col">At</th><th scope="col">The room</th><th scope="col">They</th></tr>
				</thead>
				<tbody>
					{#each shown.rows as row (row.id)}
						<tr>
							<td>{row.at}</td>
							<th scope="row">{row.room}</th>
							<td
								>{#if row.own}{row.own}{:else}<span class="quiet">the same</span>{/if}</td
							>
						</tr>
					{/each}
				</tbody>
			</PrintTable>
			<Care>What is unclear belongs to a doctor or physiotherapist.</Care>
		{:else}
			<p>Everybody in this room does the class as it is planned.</p>
		{/if}
	</article>
</PrintPage>

<style>
	article {
		display: grid;
		gap: 0.9rem;
	}
	nav {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem 1.25rem;
	}
	nav a[aria-current] {
		font-weight: 650;
		color: inherit;
		text-decoration-thickness: 2px;
	}
	.short {
		display: flex;
		flex-wrap: wrap;
		gap: 1rem 2rem;
		align-items: center;
		margin: 0.5rem 0;
	}
	dl {
		margin: 0;
		display: grid;
		gap: 0.2rem;
	}
	dl div {
		display: grid;
		grid-template-columns: 9rem 1fr;
		gap: 0.75rem;
	}
	dd {
		margin: 0;
		font-weight: 600;
	}
	.findings {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.3rem;
	}
	.findings li {
		display: flex;
		gap: 0.5rem;
		align-items: baseline;
	}
	th,
	td {
		text-align: left;
		vertical-align: top;
		padding: 0.3rem 0.75rem 0.3rem 0;
		border-top: 1px solid var(--line);
	}
	tbody th {
		font-weight: 500;
		width: 40%;
	}
	td:first-child {
		width: 4rem;
	}
	@media print {
		.screen {
			display: none;
		}
		article {
			border: 0;
			padding: 0;
		}
	}
	@media screen and (max-width: 40rem) {
		dl div {
			grid-template-columns: 7rem 1fr;
		}
	}
</style>
