<script lang="ts">
	/** Severity by shape, word and colour: a square stops, a triangle asks for a fix, a circle notes. */
	interface Props {
		severity: string;
	}
	let { severity }: Props = $props();
	const words: Record<string, string> = { stop: 'Stop:', fix: 'Fix:', note: 'Note:' };
</script>

<svg viewBox="0 0 12 12" width="12" height="12" role="img" aria-label={words[severity]}>
	{#if severity === 'stop'}<rect x="1" y="1" width="10" height="10" rx="1.5" fill="var(--stop)" />
	{:else if severity === 'fix'}<path d="M6 1 11.5 11H.5Z" fill="var(--fix)" />
	{:else}<circle cx="6" cy="6" r="4.5" fill="none" stroke="var(--note)" stroke-width="2" />{/if}
</svg>

<style>
	svg {
		flex: none;
	}
</style>
