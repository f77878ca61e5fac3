<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import OnceToken from '../saving/OnceToken.svelte';
	import { dayName } from '$lib/core/calendar';

	interface Props {
		groupId: string;
		groupName: string;
		day: string;
		/** Whether the group has a class that can be copied. */
		copyable: boolean;
		/** What it can be begun from. */
		templates: { id: string; title: string }[];
	}
	let { groupId, groupName, day, copyable, templates }: Props = $props();
	/** A group may come twice a week. */
	const whom = $derived(`${groupName}, ${dayName(day)}`);
</script>

<form method="POST" action="/?/start">
	<OnceToken />
	<input type="hidden" name="group" value={groupId} />
	<input type="hidden" name="day" value={day} />
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
		<label class="template">
			<span class="visually-hidden">Begin the plan for {whom} with</span>
			<select name="template">
				<option value="">with nothing yet</option>
				{#each templates as { id, title } (id)}<option value={id}>with {title}</option>{/each}
			</select>
		</label>
	{/if}
</form>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 0.25rem;
	}
	select {
		height: 2rem;
		max-width: 14rem;
		border: 1px solid var(--line-strong);
		border-radius: 6px;
		background: var(--sheet);
		color: var(--ink);
	}
</style>
