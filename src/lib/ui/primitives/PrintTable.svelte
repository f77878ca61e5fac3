<script lang="ts">
	import type { Snippet } from 'svelte';

	/** A table on paper. */
	interface Props {
		children: Snippet;
	}
	let { children }: Props = $props();
</script>

<!-- Carbon's table brings the padding and the states of a screen: on paper each line counts -->
<table>
	{@render children()}
</table>

<style>
	table {
		border-collapse: collapse;
		width: 100%;
	}
</style>
