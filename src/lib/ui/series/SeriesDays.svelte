<script lang="ts">
	import type { SeriesDesk } from '$lib/client/series/series-desk.svelte';
	import { dayName, isIsoDay } from '$lib/core/calendar';
	import { LENGTH_MINUTES, lengthOfMinutes, minutesOfLength } from '$lib/core/plan';
	import { SERIES_LIMITS } from '$lib/core/series';
	import DayField from '$lib/ui/fields/DayField.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import Meetings from '$lib/ui/group/Meetings.svelte';
	import { Button } from 'carbon-components-svelte';

	/** From when to when a series goes, on which days, and on which not. */
	interface Props {
		desk: SeriesDesk;
	}
	let { desk }: Props = $props();

	const series = $derived(desk.series);
	const last = $derived(series.classes.at(-1));
	let holiday = $state('');

	function setLength(minutes: number | null) {
		const lengthSeconds = lengthOfMinutes(minutes ?? 0);
		if (lengthSeconds !== null) desk.settings({ lengthSeconds });
	}
	function addHoliday() {
		if (!isIsoDay(holiday) || series.skipped.includes(holiday)) return;
		desk.settings({ skipped: [...series.skipped, holiday].sort() });
		holiday = '';
	}
</script>

<fieldset>
	<legend>End date and weekdays</legend>
	<div class="row">
		<DayField label="First day" value={series.startsOn} onpick={(startsOn) => desk.settings({ startsOn })} />
		<NumberField
			label="Weeks"
			least={1}
			most={SERIES_LIMITS.weeks}
			value={series.weeks}
			onchange={(weeks) => weeks !== null && desk.settings({ weeks })}
		/>
		<NumberField
			label="Minutes per class"
			least={LENGTH_MINUTES.least}
			most={LENGTH_MINUTES.most}
			value={minutesOfLength(series.lengthSeconds)}
			onchange={setLength}
		/>
	</div>
	{#if last}
		<p>{series.classes.length} classes; the last is on <b>{dayName(last.on)}</b>.</p>
	{/if}
	<Meetings
		meetings={series.meetings}
		most={SERIES_LIMITS.meetings}
		onchange={(meetings) => desk.settings({ meetings })}
	/>
	<div class="line">
		<DayField label="Day without a class" value={holiday} onpick={(day) => (holiday = day)} />
		<Button kind="tertiary" size="small" on:click={addHoliday}>Skip this day</Button>
	</div>
	{#each series.skipped as day, index (index)}
		<div class="line">
			<span>{dayName(day)}</span>
			<Button
				kind="tertiary"
				size="small"
				aria-label="Reinstate class on {dayName(day)}"
				on:click={() => desk.settings({ skipped: series.skipped.filter((other) => other !== day) })}
				>Reinstate</Button
			>
		</div>
	{/each}
</fieldset>

<style>
	.line {
		display: flex;
		flex-wrap: wrap;
		gap: 0.6rem;
		align-items: end;
	}
</style>
