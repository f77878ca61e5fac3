<script lang="ts">
	import Choice from '$lib/ui/fields/Choice.svelte';
	import Hidden from '$lib/ui/primitives/Hidden.svelte';
	import { Button } from 'carbon-components-svelte';
	import OnceToken from '../saving/OnceToken.svelte';
	import { dayName } from '$lib/core/calendar';

	interface Props {
		groupId: string;
		groupName: string;
		day: string;
		/** Whether the group has a class that can be copied. */
		copyable: boolean;
		/** Templates to begin from. */
		templates: { id: string; title: string }[];
	}
	let { groupId, groupName, day, copyable, templates }: Props = $props();
	/** A group may come twice a week. */
	const whom = $derived(`${groupName}, ${dayName(day)}`);
</script>

<form method="POST" action="/?/start">
	<OnceToken />
	<Hidden name="group" value={groupId} />
	<Hidden name="day" value={day} />
	<Button type="submit" size="small" aria-label="Start a plan for {whom}">Start a plan</Button>
	{#if copyable}
		<Button
			type="submit"
			size="small"
			kind="ghost"
			name="copy"
			value="1"
			aria-label="Copy the last class of {groupName} for {dayName(day)}"
		>
			Copy the last class
		</Button>
	{/if}
	{#if templates.length}
		<Choice
			hideLabel
			name="template"
			label="Begin the plan for {whom} with"
			options={[
				{ value: '', text: 'with nothing yet' },
				...templates.map(({ id, title }) => ({ value: id, text: `with ${title}` }))
			]}
		/>
	{/if}
</form>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 0.25rem;
	}
</style>
