<script lang="ts">
	import 'carbon-components-svelte/css/all.css';
	import '@fontsource-variable/hanken-grotesk';
	import '../app.css';
	import { onMount } from 'svelte';
	import Shell from '$lib/ui/Shell.svelte';

	let { data, children } = $props();

	// tests wait for this before they click
	onMount(() => {
		document.body.dataset.hydrated = 'true';
	});
</script>

<Shell teacher={data.teacher} studio={data.studio}>
	{@render children()}
</Shell>
