<script lang="ts">
	import { enhance } from '$app/forms';
	import OnceToken from '../saving/OnceToken.svelte';
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';

	/** The series elsewhere: in calendars, in files, for another group, beside another series. */
	interface Props {
		id: string;
		version: number;
		linked: boolean;
		/** The link that was made just now; it is shown this once. */
		link: string | null;
		groups: { id: string; name: string }[];
		others: { id: string; title: string }[];
		today: string;
	}
	let { id, version, linked, link, groups, others, today }: Props = $props();
</script>

<section class="sheet form-fields" aria-labelledby="more-title">
	<h2 id="more-title">Elsewhere</h2>
	<p class="row-of-links">
		<a href="/series/{id}/calendar" download>Calendar file</a>
		<a href="/series/{id}/file" download>Series file</a>
		<a href="/series/{id}/print">Page for the wall</a>
	</p>
	<fieldset>
		<legend>A link to subscribe</legend>
		{#if link}
			<TextInput
				labelText="Copy it now, it is shown this once"
				readonly
				size="sm"
				value={link}
				on:focus={(event) => (event.currentTarget as HTMLInputElement).select()}
			/>
		{:else if linked}
			<p class="quiet">There is one. A new link makes the old one useless.</p>
		{:else}
			<p class="quiet">Whoever has it sees dates, titles and rungs, and nothing of the people.</p>
		{/if}
		<div class="buttons">
			<form
				method="POST"
				action="?/link"
				use:enhance={() =>
					({ update }) =>
						update({ reset: false })}
			>
				<Button size="small" kind="tertiary" type="submit"
					>{linked || link ? 'A new link' : 'Make a link'}</Button
				>
			</form>
			{#if linked || link}
				<form
					method="POST"
					action="?/unlink"
					use:enhance={() =>
						({ update }) =>
							update({ reset: false })}
				>
					<Button size="small" kind="ghost" type="submit">Take it back</Button>
				</form>
			{/if}
		</div>
	</fieldset>
	{#if others.length}
		<form method="GET" action="/series/{id}/compare">
			<fieldset>
				<legend>Compare with another series</legend>
				<Select name="with" labelText="Which one" hideLabel size="sm">
					{#each others as other (other.id)}<SelectItem value={other.id} text={other.title} />{/each}
				</Select>
				<div><Button size="small" kind="tertiary" type="submit">Compare</Button></div>
			</fieldset>
		</form>
	{/if}
	<form method="POST" action="?/copy">
		<OnceToken />
		<fieldset>
			<legend>The same for another group</legend>
			<div class="row">
				<Select name="group" labelText="Group" size="sm">
					{#each groups as group (group.id)}<SelectItem value={group.id} text={group.name} />{/each}
				</Select>
				<label>From <input type="date" name="startsOn" value={today} required /></label>
			</div>
			<div><Button size="small" kind="tertiary" type="submit">Copy the series</Button></div>
		</fieldset>
	</form>
	<details>
		<summary>Delete the series</summary>
		<form method="POST" action="?/delete">
			<input type="hidden" name="version" value={version} />
			<p class="quiet">Its classes stay as single classes of the group.</p>
			<Button size="small" kind="danger-tertiary" type="submit">Delete</Button>
		</form>
	</details>
</section>

<style>
	section {
		display: grid;
		gap: 0.6rem;
	}
	.row-of-links {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem 1rem;
		font-size: var(--text-s);
	}
</style>
