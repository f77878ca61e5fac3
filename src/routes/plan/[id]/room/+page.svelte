<script lang="ts">
	import PrintTable from '$lib/ui/primitives/PrintTable.svelte';
	import Care from '$lib/ui/print/Care.svelte';
	import PrintPage from '$lib/ui/print/PrintPage.svelte';
	import { kitName } from '$lib/core/group';
	import { formatDuration } from '$lib/core/clock';
	import CautionLines from '$lib/ui/plan/CautionLines.svelte';

	let { data } = $props();
	const { sheet, group } = $derived(data);
</script>

<PrintPage title="Room sheet: {data.title}" back={{ href: `/plan/${data.id}`, words: 'Back to the class' }}>
	<article class="sheet">
		<header>
			<h1>Room sheet: {data.title || 'Untitled class'}</h1>
			<p>
				{group.name}{data.day ? `, ${data.day}` : ''}: {group.size} people.
				<a class="screen" href="/plan/{data.id}#here">Who is here today</a>
				<a class="screen" href="/plan/{data.id}/people">As each person does it</a>
			</p>
		</header>
		<Care
			>In the first months after an operation and with leg symptoms nothing is proposed here: the treating
			clinician decides.</Care
		>

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

		<PrintTable>
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
							{#each row.kitUses as use, index (index)}<span class="for">{use.kit}: {use.for}</span>{/each}
							{#each row.shortages as words, index (index)}<span class="words">{words}</span>{/each}
						</th>
						<td>
							<ul>
								{#each row.tiers as tier, index (index)}
									<li>
										<b>{tier.tier}</b> <span class="quiet">({tier.people})</span>
										{tier.form}: {tier.how}
									</li>
								{/each}
							</ul>
						</td>
						<td
							>{#if row.cautions.length}<CautionLines lines={row.cautions} />{/if}</td
						>
					</tr>
				{/each}
			</tbody>
		</PrintTable>
	</article>
</PrintPage>

<style>
	article {
		display: grid;
		gap: 0.9rem;
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
		color: var(--fix);
	}
	@media print {
		.screen {
			display: none;
		}
	}
	.for {
		display: block;
		font-weight: 400;
		font-size: var(--text-s);
	}
	.words {
		display: block;
		font-weight: 500;
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
		article {
			border: 0;
			padding: 0;
		}
		tr {
			break-inside: avoid;
		}
	}
</style>
