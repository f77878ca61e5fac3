<script lang="ts">
	import { SkeletonText } from 'carbon-components-svelte';

	/** In the place of a desk until its script is there. */
	interface Props {
		title: string;
		/** "The class is being opened" */
		words: string;
	}
	let { title, words }: Props = $props();
</script>

<svelte:head><title>{title} · Humble Orbit</title></svelte:head>

<h1>{title}</h1>
<p class="quiet" role="status">{words} …</p>
<div class="sheet"><SkeletonText paragraph lines={5} /></div>
<div class="sheet"><SkeletonText paragraph lines={8} /></div>

<style>
	.sheet {
		margin-top: 1rem;
	}
</style>
