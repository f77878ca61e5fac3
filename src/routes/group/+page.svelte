<script lang="ts">
	import OnceToken from '$lib/ui/saving/OnceToken.svelte';
	import BringBack from '$lib/ui/saving/BringBack.svelte';
	import { enhance } from '$app/forms';
	import { CheckedForm } from '$lib/client/page/checked-form.svelte';
	import { meetingWords, newGroupSchema } from '$lib/core/group';
	import StudioKit from '$lib/ui/group/StudioKit.svelte';
	import { formatDuration } from '$lib/core/clock';
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';

	let { data, form } = $props();
	const checked = new CheckedForm(newGroupSchema, () => form);
</script>

<svelte:head><title>Groups · Humble Orbit</title></svelte:head>

<h1>Groups</h1>
{#each data.removed as { id, name, days } (id)}<BringBack what={name} {id} {days} />{/each}
{#if form?.errors?.gone}<p role="alert">{form.errors.gone}</p>{/if}
<div class="columns">
	<ul>
		{#each data.groups as { id, group } (id)}
			<li class="sheet">
				<h2><a href="/group/{id}">{group.name}</a></h2>
				<p>{group.discipline}, {group.size} people, {group.moment}</p>
				<p>
					<b>{meetingWords(group)}</b>
					<span class="quiet">{formatDuration(group.lengthSeconds)}</span>
				</p>
				{#if group.cautions.length}
					<p class="quiet">
						In the room: {group.cautions.map((c) => `${c.caution} (${c.people})`).join(', ')}
					</p>
				{/if}
			</li>
		{:else}
			<li class="sheet">
				<h2>No group yet</h2>
				<p>
					Start with a preset: it fills in the usual needs of such a group, and you change what differs. Or
					<a href="/begin">in three steps</a>, with a first class.
				</p>
			</li>
		{/each}
	</ul>
	<form class="sheet" method="POST" action="?/create" use:enhance={checked.send} {@attach checked.watch}>
		<OnceToken />
		<h2>A new group</h2>
		<TextInput
			id="name"
			name="name"
			labelText="Name"
			value={form?.name ?? ''}
			invalid={checked.error('name') !== ''}
			invalidText={checked.error('name')}
		/>
		<Select id="preset" name="preset" labelText="Begin with">
			{#each data.presets as preset (preset.id)}<SelectItem value={preset.id} text={preset.label} />{/each}
		</Select>
		<Button type="submit">Create group</Button>
	</form>
	<StudioKit stored={data.kit} owner={data.owner} />
</div>

<style>
	.columns {
		display: grid;
		grid-template-columns: 1fr 20rem;
		gap: 1.25rem;
		align-items: start;
		margin-top: 1rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
		gap: 1rem;
	}
	li {
		display: grid;
		gap: 0.25rem;
		align-content: start;
	}
	form {
		grid-row: span 2;
		display: grid;
		gap: 1rem;
	}
	@media (max-width: 48rem) {
		.columns {
			grid-template-columns: 1fr;
		}
	}
</style>
