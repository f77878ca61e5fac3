<script lang="ts">
	import { kitName } from '$lib/core/substitution';
	import { formatDuration } from '$lib/core/clock';
	import CautionLines from '$lib/ui/CautionLines.svelte';

	let { data } = $props();
	const { sheet, group } = $derived(data);
</script>

<svelte:head><title>Room sheet: {data.title} · Humble Orbit</title></svelte:head>

<p class="no-print">
	<a href="/plan/{data.id}">Back to the desk</a>
	<button type="button" class="pill" onclick={() => window.print()}>Print</button>
</p>
<article class="sheet">
	<header>
		<h1>Room sheet: {data.title || 'Untitled class'}</h1>
		<p>{group.name}{data.day ? `, ${data.day}` : ''}: {group.size} people</p>
	</header>
	<p class="care">
		<strong>Pain means stop, in the knee above all.</strong> After surgery or with leg symptoms nothing is proposed
		here: the treating clinician decides.
	</p>

	<section aria-labelledby="kit-title">
		<h2 id="kit-title">Kit</h2>
		{#if sheet.kit.length}
			<ul class="kit">
				{#each sheet.kit as need, index (index)}
					<li class:short={need.needed > need.available}>
						<b>{need.needed} {kitName(need.kit, need.needed)}</b>
						<span class="quiet">of {need.available} at hand</span>
					</li>
				{/each}
			</ul>
		{:else}<p>None.</p>{/if}
		{#if sheet.shortages.length}
			<h3>Short before class</h3>
			<ul>
				{#each sheet.shortages as { english, words }, index (index)}<li>
						<b>{english}</b>
						{words}.
					</li>{/each}
			</ul>
		{/if}
	</section>

	<table>
		<thead>
			<tr
				><th scope="col">At</th><th scope="col">What</th><th scope="col">Tiers</th><th scope="col"
					>Cautions</th
				></tr
			>
		</thead>
		<tbody>
			{#each sheet.rows as row (row.itemId)}
				<tr>
					<td>{formatDuration(row.fromSeconds)}</td>
					<th scope="row">
						{row.english}
						{#each row.shortages as words, index (index)}<span class="words">{words}</span>{/each}
					</th>
					<td>
						<ul>
							{#each row.tiers as tier, index (index)}
								<li><b>{tier.tier}</b> <span class="quiet">({tier.people})</span> {tier.form}: {tier.how}</li>
							{/each}
						</ul>
					</td>
					<td
						>{#if row.cautions.length}<CautionLines lines={row.cautions} />{/if}</td
					>
				</tr>
			{/each}
		</tbody>
	</table>
</article>

<style>
	.no-print {
		display: flex;
		gap: 1rem;
		align-items: center;
		margin-bottom: 0.75rem;
	}
	article {
		display: grid;
		gap: 0.9rem;
	}
	.care {
		border: 1px solid var(--line-strong);
		border-radius: var(--radius);
		padding: 0.4rem 0.75rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	.kit {
		display: flex;
		flex-wrap: wrap;
		gap: 0.3rem 1.5rem;
	}
	.short b,
	.words {
		color: var(--mend);
	}
	.words {
		display: block;
		font-weight: 500;
		font-size: var(--text-s);
	}
	table {
		border-collapse: collapse;
		width: 100%;
		font-size: var(--text-s);
	}
	th,
	td {
		text-align: left;
		vertical-align: top;
		padding: 0.35rem 0.75rem 0.35rem 0;
		border-top: 1px solid var(--line);
	}
	tbody th {
		font-size: var(--text-m);
		width: 14rem;
	}
	/* on a phone what people get stands under the movement, over the whole width */
	@media screen and (max-width: 40rem) {
		thead {
			position: absolute;
			clip-path: inset(50%);
		}
		tbody tr {
			display: grid;
			grid-template-columns: 3.5rem 1fr;
			border-top: 1px solid var(--line);
			padding: 0.35rem 0;
		}
		tbody :is(th, td) {
			border-top: 0;
			padding: 0.1rem 0;
		}
		tbody th {
			width: auto;
		}
		tbody td:nth-child(n + 3) {
			grid-column: 2;
		}
	}
	@media print {
		.no-print {
			display: none;
		}
		article {
			border: 0;
			padding: 0;
		}
		tr {
			break-inside: avoid;
		}
	}
</style>
