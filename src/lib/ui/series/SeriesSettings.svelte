<script lang="ts">
	import type { SeriesDesk } from '$lib/client/series/series-desk.svelte';
	import { dayName, isIsoDay, WEEKDAY_NAMES } from '$lib/core/calendar';
	import { HIP_TESTS, TEST_IDS, type TestId } from '$lib/core/measure';
	import { lengthOfMinutes, minutesOfLength, wholeUpTo } from '$lib/core/plan';
	import { SERIES_LIMITS, withOneMoreDay } from '$lib/core/series';
	import SeriesGoals from './SeriesGoals.svelte';
	import SeriesThemes from './SeriesThemes.svelte';

	/** What a series is made from: dates, goals with their ladders, themes, and the rules of progress. */
	interface Props {
		desk: SeriesDesk;
	}
	let { desk }: Props = $props();

	const series = $derived(desk.series);
	let holiday = $state('');

	const number = (event: Event, most: number) =>
		wholeUpTo(most, (event.currentTarget as HTMLInputElement).value);
	const text = (event: Event) => (event.currentTarget as HTMLInputElement).value;

	/** A field that may be asked about before it is taken shows what holds until then. */
	function dealt(event: Event, change: Partial<typeof series>, holds: string | number) {
		desk.settings(change);
		(event.currentTarget as HTMLInputElement).value = String(holds);
	}
	function setWeeks(event: Event) {
		dealt(event, { weeks: Math.max(1, number(event, SERIES_LIMITS.weeks)) }, series.weeks);
	}
	function setLength(event: Event) {
		const lengthSeconds = lengthOfMinutes(Number(text(event)));
		if (lengthSeconds !== null) desk.settings({ lengthSeconds });
		else desk.say('A class lasts between 5 minutes and 4 hours.');
	}
	function setStart(event: Event) {
		const startsOn = text(event);
		if (isIsoDay(startsOn)) dealt(event, { startsOn }, series.startsOn);
	}
	function setMeeting(event: Event, at: number, field: 'weekday' | 'startsAt', value: number | string) {
		const meetings = series.meetings.map((m, i) => (i === at ? { ...m, [field]: value } : m));
		dealt(event, { meetings }, series.meetings[at]![field]);
	}
	function addHoliday() {
		if (!isIsoDay(holiday) || series.skipped.includes(holiday)) return;
		desk.settings({ skipped: [...series.skipped, holiday].sort() });
		holiday = '';
	}
	function toggleRetest(week: number) {
		const { weeks } = series.retest;
		const next = weeks.includes(week) ? weeks.filter((w) => w !== week) : [...weeks, week];
		desk.settings({ retest: { ...series.retest, weeks: next.sort((a, b) => a - b) } });
	}
	const weekNumbers = $derived(Array.from({ length: series.weeks }, (_, i) => i + 1));
</script>

{#snippet count(
	label: string,
	field: 'repeats' | 'mostNew' | 'mostUpPercent' | 'keepPercent',
	least: number,
	most: number
)}
	<label>
		{label}
		<input
			type="number"
			min={least}
			max={most}
			value={series[field]}
			onchange={(event) => desk.settings({ [field]: Math.max(least, number(event, most)) })}
		/>
	</label>
{/snippet}

<div class="form-fields settings">
	<fieldset>
		<legend>The series</legend>
		<label>
			Title
			<input
				type="text"
				maxlength="120"
				value={series.title}
				oninput={(event) => desk.settings({ title: text(event) }, '', 'title')}
			/>
		</label>
		<label>
			Where it shall lead, in your words
			<textarea
				rows="2"
				maxlength="1000"
				value={series.goal}
				oninput={(event) => desk.settings({ goal: text(event) }, '', 'goal')}></textarea>
		</label>
		<div class="row">
			<label>First day <input type="date" value={series.startsOn} onchange={setStart} /></label>
			<label>
				Weeks
				<input type="number" min="1" max={SERIES_LIMITS.weeks} value={series.weeks} onchange={setWeeks} />
			</label>
			<label>
				Minutes a class
				<input
					type="number"
					min="5"
					max="240"
					value={minutesOfLength(series.lengthSeconds)}
					onchange={setLength}
				/>
			</label>
		</div>
	</fieldset>

	<fieldset>
		<legend>Days</legend>
		{#each series.meetings as meeting, i (i)}
			<div class="line">
				<label>
					<span class="visually-hidden">Day {i + 1}</span>
					<select
						value={meeting.weekday}
						onchange={(event) => setMeeting(event, i, 'weekday', Number(text(event)))}
					>
						{#each WEEKDAY_NAMES as name, day (name)}<option value={day + 1}>{name}</option>{/each}
					</select>
				</label>
				<label>
					<span class="visually-hidden">Time on day {i + 1}</span>
					<input
						type="time"
						required
						value={meeting.startsAt}
						onchange={(event) => text(event) && setMeeting(event, i, 'startsAt', text(event))}
					/>
				</label>
				{#if series.meetings.length > 1}
					<button
						type="button"
						class="pill"
						aria-label="Without {WEEKDAY_NAMES[meeting.weekday - 1]} {meeting.startsAt}"
						onclick={() => desk.settings({ meetings: series.meetings.toSpliced(i, 1) })}>Take out</button
					>
				{/if}
			</div>
		{/each}
		{#if series.meetings.length < SERIES_LIMITS.meetings}
			<div>
				<button
					type="button"
					class="pill"
					onclick={() => desk.settings({ meetings: withOneMoreDay(series.meetings) })}
					>One more day a week</button
				>
			</div>
		{/if}
		<div class="line">
			<label>A day without class <input type="date" bind:value={holiday} /></label>
			<button type="button" class="pill" onclick={addHoliday}>Leave it out</button>
		</div>
		{#each series.skipped as day, index (index)}
			<div class="line">
				<span>{dayName(day)}</span>
				<button
					type="button"
					class="pill"
					aria-label="Class on {dayName(day)} after all"
					onclick={() => desk.settings({ skipped: series.skipped.filter((other) => other !== day) })}
					>After all</button
				>
			</div>
		{/each}
	</fieldset>

	<SeriesGoals {desk} />
	<SeriesThemes {desk} />

	<fieldset>
		<legend>How it goes on</legend>
		<div class="row">
			<label>
				An easier week every
				<select
					value={series.easierEvery}
					onchange={(event) => desk.settings({ easierEvery: Number(text(event)) })}
				>
					<option value={0}>never</option>
					{#each [2, 3, 4, 5, 6] as weeks (weeks)}<option value={weeks}>{weeks} weeks</option>{/each}
				</select>
			</label>
			{@render count('Each rung at least so often', 'repeats', 1, 12)}
			{@render count('New movements a class, at most', 'mostNew', 0, 12)}
			{@render count('Load up by at most, % a week', 'mostUpPercent', 0, 100)}
			{@render count('Kept from the last class, %', 'keepPercent', 0, 100)}
			<label>
				The test
				<select
					value={series.retest.test}
					onchange={(event) => desk.settings({ retest: { ...series.retest, test: text(event) as TestId } })}
				>
					{#each TEST_IDS as id (id)}<option value={id}>{HIP_TESTS[id].name}</option>{/each}
				</select>
			</label>
		</div>
		<div class="checks" role="group" aria-label="Weeks with the test">
			<span class="quiet">Test in week</span>
			{#each weekNumbers as week, index (index)}
				<label class="check">
					<input
						type="checkbox"
						aria-label="Test in week {week}"
						checked={series.retest.weeks.includes(week)}
						onchange={() => toggleRetest(week)}
					/>
					{week}
				</label>
			{/each}
		</div>
	</fieldset>
</div>

<style>
	.settings {
		columns: 2 26rem;
		column-gap: 1rem;
	}
	.settings :global(fieldset) {
		break-inside: avoid;
		margin-bottom: 1rem;
	}
	.line {
		display: flex;
		flex-wrap: wrap;
		gap: 0.6rem;
		align-items: end;
	}
</style>
