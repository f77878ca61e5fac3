<script lang="ts">
	import 'carbon-components-svelte/css/all.css';
	import '@fontsource-variable/hanken-grotesk';
	import '../app.css';
	import { afterNavigate } from '$app/navigation';
	import { page } from '$app/state';
	import Bounded from '$lib/ui/frame/Bounded.svelte';
	import Shell from '$lib/ui/frame/Shell.svelte';

	let { data, children } = $props();

	// tests wait for this before they click: which page it is that answers now
	afterNavigate(({ to }) => {
		document.body.dataset.hydrated = to?.url.pathname;
	});
</script>

{#snippet here()}
	<Bounded what="This page" shows={page.url.href}>{@render children()}</Bounded>
{/snippet}

{#if page.route.id?.startsWith('/teach')}
	<!-- in the room the whole screen is for the class -->
	{@render here()}
{:else}
	<Shell teacher={data.teacher} studio={data.studio}>{@render here()}</Shell>
{/if}
