<script lang="ts">
	import Fold from '$lib/ui/fields/Fold.svelte';
	import { needsAttention } from '$lib/core/checks';
	import { SERIES_CHECKS, type SeriesFinding } from '$lib/core/series';
	import { Button } from 'carbon-components-svelte';
	import SeverityMark from '../chart/SeverityMark.svelte';

	/** Findings of the checks over the weeks, each with its reason. */
	interface Props {
		findings: readonly SeriesFinding[];
		onselect: (classId: string) => void;
	}
	let { findings, onselect }: Props = $props();

	const toFix = $derived(findings.filter(needsAttention));
	const notes = $derived(findings.filter((finding) => !needsAttention(finding)));
	const metaOf = (id: string) => SERIES_CHECKS.find(({ meta }) => meta.id === id)?.meta;
</script>

{#snippet list(shown: SeriesFinding[])}
	<ul>
		{#each shown as finding, index (index)}
			<li>
				<p><SeverityMark severity={finding.severity} /> {finding.message}</p>
				<Fold title="Why">
					<p class="quiet">{metaOf(finding.checkId)?.why} ({metaOf(finding.checkId)?.source})</p>
				</Fold>
				{#if finding.classId}
					<Button kind="tertiary" size="small" on:click={() => onselect(finding.classId!)}>Go there</Button>
				{/if}
			</li>
		{/each}
	</ul>
{/snippet}

<section class="sheet" aria-labelledby="findings-title">
	<h2 id="findings-title">
		Over the weeks <span class="quiet">{toFix.length ? `${toFix.length} to fix` : ''}</span>
	</h2>
	{#if toFix.length === 0}<p class="ready">Nothing to fix.</p>{/if}
	{@render list(toFix)}
	{#if notes.length}
		<Fold title="{notes.length} worth knowing">
			{@render list(notes)}
		</Fold>
	{/if}
</section>

<style>
	ul {
		list-style: none;
		margin: 0.3rem 0 0;
		padding: 0;
		display: grid;
		gap: 0.5rem;
		font-size: var(--text-s);
	}
	li {
		display: grid;
		gap: 0.2rem;
		justify-items: start;
		border-top: 1px solid var(--line);
		padding-top: 0.4rem;
	}
	.ready {
		color: var(--good);
		font-weight: 600;
		font-size: var(--text-s);
	}
</style>
