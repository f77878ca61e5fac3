<script lang="ts">
	import type { Snippet } from 'svelte';

	/** Note on care for every printed page; `children`: further notes for this page. */
	let { children }: { children?: Snippet } = $props();
</script>

<p class="care">
	<strong>Pain means stop, in the knee above all.</strong>
	{@render children?.()}
</p>

<style>
	.care {
		margin: 0.6rem 0;
		border: 1px solid var(--line-strong);
		border-radius: var(--radius);
		padding: 0.3rem 0.6rem;
		font-size: inherit;
	}
	@media print {
		.care {
			border-color: currentcolor;
			border-radius: 0;
		}
	}
</style>
