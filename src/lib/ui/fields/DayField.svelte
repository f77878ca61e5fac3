<script lang="ts">
	import Hidden from '$lib/ui/primitives/Hidden.svelte';
	import { DatePicker, DatePickerInput } from 'carbon-components-svelte';
	import { tick } from 'svelte';
	import type { Instance } from 'flatpickr/dist/types/instance';
	import { dayInField, dayOfPicker, readDay } from '$lib/core/calendar';

	/** A day: picked in a calendar, or typed ("3 Nov 2026", "2026-11-03"). */
	interface Props {
		label: string;
		/** As YYYY-MM-DD; empty where none is chosen yet. */
		value: string;
		/** For forms that are sent. */
		name?: string;
		onpick?: (isoDay: string) => void;
	}
	let { label, value, name, onpick }: Props = $props();

	const id = $props.id();
	let wrong = $state(false);
	// the calendar counts in the browser's own days: noon is far from either end of one
	const asDate = (isoDay: string) => new Date(`${isoDay}T12:00:00`);
	const flatpickr = {
		static: true,
		// weeks begin on Monday, as everywhere in the app
		locale: { firstDayOfWeek: 1 as const },
		parseDate: (text: string) => {
			const day = readDay(text);
			// the calendar takes "no day" for nothing typed
			return day ? asDate(day) : (undefined as unknown as Date);
		},
		formatDate: (date: Date) => dayInField(dayOfPicker(date))
	};
	let calendar = $state.raw<Instance | null>(null);
	let typed = $derived(value ? dayInField(value) : '');

	async function take(text: string) {
		const day = readDay(text);
		wrong = day === null;
		if (day === null || day === value) return;
		if (!onpick) value = day;
		onpick?.(day);
		// a day that is asked about first returns to the accepted one
		await tick();
		if (value) calendar?.setDate(asDate(value));
	}
</script>

<div class="day">
	<DatePicker
		datePickerType="single"
		dateFormat="D j M Y"
		flatpickrProps={flatpickr}
		bind:calendar
		value={typed}
		on:change={(event) =>
			take(typeof event.detail === 'string' ? event.detail : String(event.detail.dateStr))}
	>
		<DatePickerInput
			{id}
			size="sm"
			labelText={label}
			placeholder="3 Nov 2026"
			pattern=".*"
			invalid={wrong}
			invalidText="A day, as in 3 Nov 2026"
		/>
	</DatePicker>
	{#if name}<Hidden {name} {value} />{/if}
</div>

<style>
	.day {
		display: block;
		min-width: 0;
	}
	.day :global(.bx--date-picker__input) {
		width: 11.5rem;
	}
</style>
