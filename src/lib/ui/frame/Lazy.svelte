<!-- eslint-disable-next-line @typescript-eslint/no-explicit-any -- properties of a component are an interface, which has no index -->
<script lang="ts" generics="P extends Record<string, any>">
	import type { Component } from 'svelte';

	/** A part of a page whose script comes when it is opened. */
	interface Props {
		load: () => Promise<{ default: Component<P> }>;
		props: P;
	}
	let { load, props }: Props = $props();
</script>

{#await load() then { default: Part }}
	<Part {...props} />
{:catch}
	<p role="alert">This part did not load. Check the connection, then close and open it again.</p>
{/await}
