<script lang="ts">
	import Fold from '$lib/ui/fields/Fold.svelte';
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Repairs } from '$lib/client/plan/repairs';
	import type { ItemCommands } from '$lib/client/plan/item-commands';
	import { needsAttention, type Finding } from '$lib/core/checks';
	import { keyed } from '$lib/core/view-models';
	import { Button } from 'carbon-components-svelte';
	import FindingItem from './FindingItem.svelte';

	/** Findings of the checks, most serious first; notes and intended ones are folded away. */
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
		<p class="ready">Nothing to fix. This class is ready to teach.</p>
	{/if}
	{@render list(toFix)}
	{#if notes.length}
		<Fold title="{notes.length} worth knowing">
			{@render list(notes)}
		</Fold>
	{/if}
	{#if silenced.length}
		<Fold title="{silenced.length} kept, with a reason">
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
		</Fold>
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
	.ready {
		color: var(--good);
		font-size: var(--text-s);
	}
</style>
