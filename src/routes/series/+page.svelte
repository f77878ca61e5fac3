<script lang="ts">
	import Choice from '$lib/ui/fields/Choice.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import DayField from '$lib/ui/fields/DayField.svelte';
	import BringBack from '$lib/ui/saving/BringBack.svelte';
	import OnceToken from '$lib/ui/saving/OnceToken.svelte';
	import OpenFileButton from '$lib/ui/saving/OpenFileButton.svelte';
	import { enhance } from '$app/forms';
	import { CheckedForm } from '$lib/client/page/checked-form.svelte';
	import { newSeriesSchema, SERIES_LIMITS } from '$lib/core/series';
	import { Button } from 'carbon-components-svelte';

	let { data, form } = $props();
	const checked = new CheckedForm(newSeriesSchema, () => form);
</script>

<svelte:head><title>Series · Humble Orbit</title></svelte:head>

<div class="top">
	{#if data.removed}
		<BringBack what="“{data.removed.title}”" id={data.removed.id} days={data.removed.days} />
	{/if}
	<h1>Series</h1>
	<OpenFileButton kind="series" groups={data.groups} />
</div>
<div class="columns">
	<ul>
		{#each data.series as s (s.id)}
			<li class="sheet">
				<h2><a href="/series/{s.id}">{s.title}</a></h2>
				<p>{s.groupName} <span class="quiet">{s.days}</span></p>
				<p>
					<b>{s.weeks} weeks</b> from {s.from}; <b>{s.taught} of {s.classes}</b> classes taught
				</p>
				{#if s.goal}<p class="goal">{s.goal}</p>{/if}
				{#if s.goals.length}<p class="quiet">Toward {s.goals.join(', ')}</p>{/if}
			</li>
		{:else}
			<li class="sheet">
				<h2>No series yet</h2>
				<p>
					A series plans weeks of classes that build on one another: ladders toward a goal, easier weeks, and
					a repeated test.
				</p>
			</li>
		{/each}
	</ul>
	{#if data.groups.length}
		<form
			class="sheet form-fields"
			method="POST"
			action="?/create"
			use:enhance={checked.send}
			{@attach checked.watch}
		>
			<OnceToken />
			<h2>A new series</h2>
			<Choice
				name="group"
				label="For"
				options={data.groups.map(({ id, name }) => ({ value: id, text: name }))}
			/>
			<DayField name="startsOn" label="From" value={data.today} />
			<NumberField name="weeks" label="Weeks" least={1} most={SERIES_LIMITS.weeks} value={8} />
			{#each ['group', 'startsOn', 'weeks', 'gone'] as field (field)}
				{#if checked.error(field)}<p class="wrong" role="alert">{checked.error(field)}</p>{/if}
			{/each}
			<Button type="submit">Start the series</Button>
		</form>
	{:else}
		<p class="sheet">First create a <a href="/group">group</a>.</p>
	{/if}
</div>

<style>
	.top {
		display: flex;
		justify-content: space-between;
		align-items: center;
	}
	.columns {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 20rem;
		gap: 1.25rem;
		align-items: start;
		margin-top: 1rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.75rem;
	}
	li,
	form {
		display: grid;
		gap: 0.4rem;
	}
	form {
		gap: 0.75rem;
	}
	.goal {
		overflow-wrap: anywhere;
	}
	.wrong {
		color: var(--stop);
		font-weight: 600;
	}
	@media (max-width: 56rem) {
		.columns {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
