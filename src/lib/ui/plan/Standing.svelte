<script lang="ts">
	import { formatDuration } from '$lib/core/clock';
	import SeverityMark from '../chart/SeverityMark.svelte';

	interface Props {
		plan: {
			totalSeconds: number;
			lengthSeconds: number;
			blocks: number;
			findings: { severity: string; message: string }[];
		};
		/** Also the first findings in words. */
		detailed?: boolean;
	}
	let { plan, detailed = false }: Props = $props();
</script>

<span class="standing">
	{#if plan.blocks === 0}
		<span class="quiet">Empty so far</span>
	{:else}
		<span class="time">{formatDuration(plan.totalSeconds)}</span>
		<span class="quiet">of {formatDuration(plan.lengthSeconds)}</span>
		{#if plan.findings.length === 0}
			<span class="ready">ready</span>
		{:else if !detailed}
			<span class="quiet">{plan.findings.length} to fix</span>
		{/if}
	{/if}
</span>
{#if detailed && plan.findings.length}
	<ul>
		{#each plan.findings.slice(0, 3) as finding, index (index)}
			<li><SeverityMark severity={finding.severity} /> {finding.message}</li>
		{/each}
	</ul>
{/if}

<style>
	.standing {
		display: inline-flex;
		gap: 0.4rem;
		align-items: baseline;
	}
	.time {
		font-weight: 650;
	}
	.ready {
		color: var(--good);
		font-weight: 600;
		font-size: var(--text-s);
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		font-size: var(--text-s);
	}
	li {
		display: flex;
		gap: 0.4rem;
		align-items: baseline;
	}
</style>
