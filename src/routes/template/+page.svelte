<script lang="ts">
	import Words from '$lib/ui/fields/Words.svelte';
	import Hidden from '$lib/ui/primitives/Hidden.svelte';
	import { Button } from 'carbon-components-svelte';
	import { enhance } from '$app/forms';
	import { formatDuration } from '$lib/core/clock';
	import { PLAN_LIMITS } from '$lib/core/plan';
	import Ring from '$lib/ui/chart/Ring.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Templates · Humble Orbit</title></svelte:head>

<p><a href="/">Back to the week</a></p>
<h1>Templates</h1>
<p class="quiet">
	Classes kept to begin others with. At the desk, “Save as template” puts one here; on the week each class can
	be started from it.
</p>
<div class="said" role="status" aria-live="polite">
	{#if form?.message}
		{form.message}
		{#if 'removed' in form && form.removed}
			<form method="POST" action="?/restore" use:enhance>
				<Hidden name="id" value={form.removed} />
				<Button kind="tertiary" size="small" type="submit">Bring it back</Button>
			</form>
		{/if}
	{/if}
</div>

{#if data.templates.length === 0}
	<p class="sheet">None yet. Open a class that went well and save it as a template.</p>
{:else}
	<ul class="sheet">
		{#each data.templates as template (template.id)}
			<li>
				<Ring sectors={template.ring} size={56} label="Balance of {template.title}" />
				<form
					method="POST"
					action="?/rename"
					use:enhance={() =>
						({ update }) =>
							update({ reset: false })}
				>
					<Hidden name="id" value={template.id} />
					<Hidden name="version" value={template.version} />
					<Words
						hideLabel
						name="title"
						label="Title of {template.title}"
						value={template.title}
						most={PLAN_LIMITS.titleCharacters}
					/>
					<Button kind="tertiary" size="small" type="submit">Rename</Button>
				</form>
				<b>{formatDuration(template.totalSeconds)}</b>
				<span class="quiet">{template.blocks} items</span>
				<form method="POST" action="?/remove" use:enhance>
					<Hidden name="id" value={template.id} />
					<Hidden name="version" value={template.version} />
					<Button kind="tertiary" size="small" type="submit" aria-label="Remove {template.title}"
						>Remove</Button
					>
				</form>
			</li>
		{/each}
	</ul>
{/if}

<style>
	.said {
		display: flex;
		gap: 1rem;
		align-items: center;
		min-height: 2.2rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0.5rem 1rem;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem 1rem;
		padding: 0.5rem 0;
		border-top: 1px solid var(--line);
	}
	li:first-child {
		border-top: 0;
	}
	form {
		display: flex;
		gap: 0.5rem;
		align-items: center;
	}
	li form:first-of-type {
		flex: 1;
		min-width: 14rem;
	}
</style>
