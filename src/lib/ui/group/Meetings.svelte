<script lang="ts">
	import { WEEKDAY_NAMES, withOneMoreDay, type Meeting } from '$lib/core/calendar';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import IconButton from '$lib/ui/fields/IconButton.svelte';
	import TimeField from '$lib/ui/fields/TimeField.svelte';
	import { Button } from 'carbon-components-svelte';
	import Close from 'carbon-icons-svelte/lib/Close.svelte';

	/** The days and times on which classes are, one line each; there is always one. */
	interface Props {
		meetings: readonly Meeting[];
		most: number;
		onchange: (meetings: Meeting[]) => void;
	}
	let { meetings, most, onchange }: Props = $props();

	const set = (at: number, change: Partial<Meeting>) =>
		onchange(meetings.map((meeting, i) => (i === at ? { ...meeting, ...change } : meeting)));
	const nameOf = (at: number) => (meetings.length > 1 ? ` ${at + 1}` : '');
</script>

{#each meetings as meeting, i (i)}
	<div class="line">
		<Choice
			label="Day{nameOf(i)}"
			value={meeting.weekday}
			options={WEEKDAY_NAMES.map((text, day) => ({ value: day + 1, text }))}
			onpick={(weekday) => set(i, { weekday })}
		/>
		<TimeField
			label="Starts{nameOf(i)}"
			value={meeting.startsAt}
			onpick={(startsAt) => set(i, { startsAt })}
		/>
		{#if meetings.length > 1}
			<IconButton
				label="Remove {WEEKDAY_NAMES[meeting.weekday - 1]} {meeting.startsAt}"
				icon={Close}
				onpress={() => onchange(meetings.toSpliced(i, 1))}
			/>
		{/if}
	</div>
{/each}
{#if meetings.length < most}
	<div>
		<Button kind="ghost" size="small" on:click={() => onchange(withOneMoreDay(meetings))}
			>Add a day of the week</Button
		>
	</div>
{/if}

<style>
	.line {
		display: grid;
		grid-template-columns: minmax(9.5rem, 12rem) 6rem auto;
		gap: 0.75rem;
		align-items: end;
		justify-content: start;
	}
</style>
