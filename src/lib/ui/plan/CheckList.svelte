<script lang="ts">
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Repairs } from '$lib/client/plan/repairs';
	import type { ItemCommands } from '$lib/client/plan/item-commands';
	import { needsAttention, type Finding } from '$lib/core/checks';
	import { keyed } from '$lib/core/view-models';
	import { Button } from 'carbon-components-svelte';
	import FindingItem from './FindingItem.svelte';

	/** What the checks find, the gravest first; notes and what is kept are folded away. */
	interface Props {
		doc: PlanDocument;
		repairs: Repairs;
		items: ItemCommands;
		ongo: (itemId: string) => void;
	}
	let { doc, repairs, items, ongo }: Props = $props();

	const findings = $derived(doc.analysis.findings);
	const toFix = $derived(findings.filter(needsAttention));
	const notes = $derived(findings.filter((finding) => !needsAttention(finding)));
	const silenced = $derived(doc.analysis.silenced);
	const words = ({ checkId, cause, severity }: Finding) => `${checkId} ${cause} ${severity}`;
</script>

{#snippet list(shown: Finding[])}
	<ul>
		{#each keyed(shown, words) as { key, value } (key)}
			<FindingItem finding={value} {doc} {repairs} {items} {ongo} />
		{/each}
	</ul>
{/snippet}

<section aria-labelledby="checks-title">
	<h2 id="checks-title">
		Checks <span class="quiet">{toFix.length ? `${toFix.length} to fix` : ''}</span>
	</h2>
	{#if doc.analysis.context.items.length === 0}
		<p class="quiet">Nothing to check yet.</p>
	{:else if toFix.length === 0}
		<p class="ready">Nothing to fix. This class can be taught as it is.</p>
	{/if}
	{@render list(toFix)}
	{#if notes.length}
		<details class="more">
			<summary>{notes.length} worth knowing</summary>
			{@render list(notes)}
		</details>
	{/if}
	{#if silenced.length}
		<details class="more">
			<summary>{silenced.length} kept, with a reason</summary>
			<ul>
				{#each silenced as { finding, reason, forGood }, index (index)}
					<li>
						<p>{finding.message}</p>
						<p class="quiet">{reason}{forGood ? ' (in all of your classes)' : ''}</p>
						<Button
							kind="ghost"
							size="small"
							on:click={() => (forGood ? repairs.askAgainForGood(finding) : repairs.unsilence(finding))}
							>Check again</Button
						>
					</li>
				{/each}
			</ul>
		</details>
	{/if}
</section>

<style>
	section {
		display: grid;
		gap: 0.5rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.7rem;
	}
	li {
		font-size: var(--text-s);
	}
	.more > summary {
		color: var(--accent);
		font-size: var(--text-s);
		font-weight: 600;
		min-height: 24px;
		margin-bottom: 0.4rem;
		cursor: pointer;
	}
	.ready {
		color: var(--good);
		font-size: var(--text-s);
	}
</style>
