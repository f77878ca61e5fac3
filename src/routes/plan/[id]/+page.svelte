<script lang="ts">
	import { browser } from '$app/environment';
	import Opening from '$lib/ui/frame/Opening.svelte';
	import Desk from './Desk.svelte';

	let { data, form } = $props();
</script>

<!-- The desk is nothing without its script, and works everything out in the browser: the server sends what it needs. -->
{#if browser}
	<Desk {data} {form} />
{:else}
	<Opening title={data.stored.plan.title || 'Untitled class'} words="The class is being opened" />
{/if}
