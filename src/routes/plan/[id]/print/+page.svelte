<script lang="ts">
	import PrintTable from '$lib/ui/primitives/PrintTable.svelte';
	import Care from '$lib/ui/print/Care.svelte';
	import PrintPage from '$lib/ui/print/PrintPage.svelte';
	import { clockTime, formatDuration } from '$lib/core/clock';
	import { kitName } from '$lib/core/group';
	import { cautionInWords, kitInWords } from '$lib/core/substitution';
	import { linkedInWords } from '$lib/core/view-models';
	import { HIP_TESTS } from '$lib/core/hip-tests';
	import { isLinked } from '$lib/core/plan';

	let { data } = $props();
	const startsAt = $derived(data.plan.startsAt);
</script>

<PrintPage
	title="Class card: {data.plan.title}"
	back={{ href: `/plan/${data.id}`, words: 'Back to the class' }}
>
	<article>
		<header>
			<div>
				<h1>{data.plan.title || 'Untitled class'}</h1>
				<p>
					{data.group.name}{data.day ? `, ${data.day}` : ''}{data.group.room ? `, ${data.group.room}` : ''}
				</p>
			</div>
			<p class="times">
				{startsAt}–{clockTime(startsAt, data.totalSeconds)} <span>{formatDuration(data.totalSeconds)}</span>
			</p>
		</header>

		<Care>
			{#if data.group.cautions.length}
				In the room: {data.group.cautions.map((c) => `${c.caution} (${c.people})`).join(', ')}.
			{/if}
			After a recent operation or with leg symptoms the treating clinician decides.
		</Care>

		<PrintTable>
			<thead>
				<tr
					><th scope="col">Clock</th><th scope="col">At</th><th scope="col">What</th><th scope="col">Dose</th
					><th scope="col">Side</th><th scope="col">Kit</th><th scope="col">For</th></tr
				>
			</thead>
			{#each data.order.filter((s) => s.blocks.length) as section (section.id)}
				<tbody>
					<tr class="section"
						><th colspan="6" scope="rowgroup">{section.name}</th><td>{formatDuration(section.seconds)}</td
						></tr
					>
					{#each section.blocks as block (block.id)}
						{#if block.block.kind === 'talk'}
							<tr>
								<td>{clockTime(startsAt, block.fromSeconds)}</td>
								<td>{formatDuration(block.fromSeconds)}</td>
								<td colspan="4"><i>{block.block.label}</i></td>
								<td>{formatDuration(block.seconds)}</td>
							</tr>
						{/if}
						{#if block.block.kind === 'test'}
							{@const test = HIP_TESTS[block.block.test]}
							<tr>
								<td>{clockTime(startsAt, block.fromSeconds)}</td>
								<td>{formatDuration(block.fromSeconds)}</td>
								<td colspan="4"
									><strong>Test: {test.name}</strong> <span class="how">{test.how} {test.look}</span></td
								>
								<td>{formatDuration(block.seconds)}</td>
							</tr>
						{/if}
						{#if isLinked(block.block)}
							<tr class="chain"
								><td colspan="6">{linkedInWords(block.block)}</td><td>{formatDuration(block.seconds)}</td></tr
							>
						{/if}
						{#each block.rows as row (row.item.id)}
							<tr class:in-chain={isLinked(block.block)}>
								<td>{clockTime(startsAt, row.fromSeconds)}</td>
								<td>{formatDuration(row.fromSeconds)}</td>
								<td>
									<strong>{row.movement.english}</strong>{row.form.id === 'full' ? '' : `, ${row.form.id}`}
									<span class="how">{[`${row.form.how}.`, ...(data.cues[row.item.id] ?? [])].join(' ')}</span>
									{#each data.cautions[row.item.id] ?? [] as line, index (index)}
										<span class="how">{cautionInWords(line)}</span>
									{/each}
								</td>
								<td>{row.words}</td>
								<td class="nowrap"
									>{row.sided && !row.byTurns
										? row.item.oneSided
											? `${row.item.lead} only`
											: `${row.item.lead}, then other${row.item.link ? ` (${row.item.link})` : ''}`
										: ''}</td
								>
								<td>{kitInWords(row.form, row.item.kit)}</td>
								<td>{formatDuration(row.seconds)}</td>
							</tr>
						{/each}
					{/each}
				</tbody>
			{/each}
		</PrintTable>

		{#if data.kit.length}
			<h2>Kit for {data.group.size}</h2>
			<p class="kit">
				{#each data.kit as need, index (index)}
					<span>
						{need.needed}
						{kitName(need.kit, need.needed)}
						{#if need.needed > need.available}(only {need.available} at hand!){/if}
					</span>
				{/each}
			</p>
		{/if}
	</article>
</PrintPage>

<style>
	article {
		max-width: 190mm;
		margin: 0 auto;
		background: var(--print-paper);
		color: var(--print-ink);
		padding: 8mm;
		font-size: 9.5pt;
	}
	header {
		display: flex;
		justify-content: space-between;
		align-items: end;
		border-bottom: 2px solid var(--print-ink);
		padding-bottom: 2mm;
	}
	.times {
		font-size: 15pt;
		font-weight: 650;
		text-align: right;
	}
	.times span {
		display: block;
		font-size: 9.5pt;
		font-weight: 400;
	}
	th,
	td {
		text-align: left;
		vertical-align: top;
		padding: 0.8mm 1.6mm 0.8mm 0;
		border-bottom: 0.3pt solid var(--print-line);
	}
	td:last-child,
	th:last-child {
		text-align: right;
		padding-right: 0;
	}
	thead th {
		font-size: 8pt;
	}
	tr {
		break-inside: avoid;
	}
	.section th,
	.section td {
		padding-top: 2mm;
		border-bottom: 1pt solid var(--print-ink);
		font-weight: 650;
	}
	.chain td {
		font-style: italic;
		border-bottom: 0;
	}
	.in-chain td:nth-child(3) {
		border-left: 2pt solid var(--print-ink);
		padding-left: 1.6mm;
	}
	.how {
		display: block;
		font-size: 8.5pt;
	}
	.nowrap {
		white-space: nowrap;
	}
	h2 {
		font-size: 10.5pt;
		margin: 3mm 0 1mm;
	}
	.kit {
		display: flex;
		flex-wrap: wrap;
		gap: 1mm 5mm;
	}
	@media screen and (max-width: 40rem) {
		article {
			padding: 0.75rem;
			overflow-x: auto;
		}
		.nowrap {
			white-space: normal;
		}
		th,
		td {
			padding-right: 1mm;
		}
	}
	@page {
		size: A4;
		margin: 10mm;
	}
	@media print {
		article {
			padding: 0;
			max-width: none;
		}
	}
</style>
