<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Humble Orbit</title></svelte:head>

<section class="sheet">
	<h1>{page.status === 404 ? 'Not here' : 'That did not work'}</h1>
	<p>{page.error?.message}</p>
	{#if page.error?.reference}<p class="quiet">Reference {page.error.reference}</p>{/if}
	<p><a href="/">Back to the week</a></p>
</section>

<style>
	section {
		max-width: 34rem;
		margin: 3rem auto;
		display: grid;
		gap: 0.75rem;
	}
</style>
