<script lang="ts">
	import Choice from '$lib/ui/fields/Choice.svelte';
	import DayField from '$lib/ui/fields/DayField.svelte';
	import Hidden from '$lib/ui/primitives/Hidden.svelte';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import { enhance } from '$app/forms';
	import OnceToken from '../saving/OnceToken.svelte';
	import { Button, TextInput } from 'carbon-components-svelte';

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
		<a href="/series/{id}/print">Printable schedule</a>
		<a href="/series/{id}/results">What changed</a>
	</p>
	<fieldset>
		<legend>A link to subscribe</legend>
		{#if link}
			<TextInput
				labelText="Copy it now: it is shown only once"
				readonly
				size="sm"
				value={link}
				on:focus={(event) => (event.currentTarget as HTMLInputElement).select()}
			/>
		{:else if linked}
			<p class="quiet">A link exists. A new link replaces it.</p>
		{:else}
			<p class="quiet">Anybody with the link sees dates, titles and rungs, but nothing about the people.</p>
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
					<Button size="small" kind="ghost" type="submit">Revoke link</Button>
				</form>
			{/if}
		</div>
	</fieldset>
	{#if others.length}
		<form method="GET" action="/series/{id}/compare">
			<fieldset>
				<legend>Compare with another series</legend>
				<Choice
					hideLabel
					name="with"
					label="Which one"
					options={others.map((other) => ({ value: other.id, text: other.title }))}
				/>
				<div><Button size="small" kind="tertiary" type="submit">Compare</Button></div>
			</fieldset>
		</form>
	{/if}
	<form method="POST" action="?/copy">
		<OnceToken />
		<fieldset>
			<legend>Copy to another group</legend>
			<div class="row">
				<Choice
					name="group"
					label="Group"
					options={groups.map((group) => ({ value: group.id, text: group.name }))}
				/>
				<DayField name="startsOn" label="From" value={today} />
			</div>
			<div><Button size="small" kind="tertiary" type="submit">Copy the series</Button></div>
		</fieldset>
	</form>
	<Fold title="Delete the series">
		<form method="POST" action="?/delete">
			<Hidden name="version" value={version} />
			<p class="quiet">Its classes stay as single classes of the group.</p>
			<Button size="small" kind="danger-tertiary" type="submit">Delete</Button>
		</form>
	</Fold>
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
