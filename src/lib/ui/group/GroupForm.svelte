<script lang="ts">
	import IconButton from '$lib/ui/fields/IconButton.svelte';
	import Words from '$lib/ui/fields/Words.svelte';
	import TimeField from '$lib/ui/fields/TimeField.svelte';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import { MOST_CHANGEOVER_MINUTES, NO_CHANGEOVER, WEEKDAY_NAMES } from '$lib/core/calendar';
	import { MOMENTS, TIERS, type Group } from '$lib/core/group';
	import { CAUTIONS, type Caution } from '$lib/core/movement';
	import { LENGTH_MINUTES, lengthOfMinutes, minutesOfLength } from '$lib/core/plan';
	import { Button, Select, SelectItem } from 'carbon-components-svelte';
	import Close from 'carbon-icons-svelte/lib/Close.svelte';
	import GroupKit from './GroupKit.svelte';
	import GroupPurposes from './GroupPurposes.svelte';
	import GroupTargets from './GroupTargets.svelte';

	/** A group, every field of it; each change is handed up as a whole new group. */
	interface Props {
		group: Group;
		onchange: (group: Group) => void;
	}
	let { group, onchange }: Props = $props();

	const free = $derived(CAUTIONS.filter((c) => !group.cautions.some((known) => known.caution === c)));
	let nextCaution = $state<Caution | ''>('');

	const changeover = $derived(group.changeover ?? NO_CHANGEOVER);
	const set = (change: Partial<Group>) => onchange({ ...group, ...change });

	function addCaution() {
		if (nextCaution) set({ cautions: [...group.cautions, { caution: nextCaution, people: 1 }] });
		nextCaution = '';
	}
</script>

<div class="form">
	<section class="sheet" aria-labelledby="people">
		<h2 id="people">The people</h2>
		<Words label="Name" most={80} value={group.name} oninput={(name) => set({ name })} />
		<Words
			label="What they do"
			most={120}
			value={group.discipline}
			oninput={(discipline) => set({ discipline })}
		/>
		<div class="row">
			<NumberField
				label="How many"
				least={1}
				most={200}
				value={group.size}
				onchange={(number) => set({ size: number ?? group.size })}
			/>
			{#each TIERS as tier (tier)}
				<NumberField
					label={tier}
					least={0}
					most={200}
					value={group.tiers[tier]}
					onchange={(number) => set({ tiers: { ...group.tiers, [tier]: number ?? group.tiers[tier] } })}
				/>
			{/each}
		</div>
		<div class="row times">
			<Choice
				label="Day"
				value={group.weekday}
				options={WEEKDAY_NAMES.map((text, index) => ({ value: index + 1, text }))}
				onpick={(weekday) => set({ weekday })}
			/>
			<TimeField label="Starts" value={group.startsAt} onpick={(startsAt) => set({ startsAt })} />
			<NumberField
				label="Minutes"
				least={LENGTH_MINUTES.least}
				most={LENGTH_MINUTES.most}
				value={minutesOfLength(group.lengthSeconds)}
				onchange={(number) => set({ lengthSeconds: lengthOfMinutes(number ?? 0) ?? group.lengthSeconds })}
			/>
			<Choice label="Moment" value={group.moment} options={MOMENTS} onpick={(moment) => set({ moment })} />
		</div>
		<Words label="Room" most={80} value={group.room} oninput={(room) => set({ room })} />
		<div class="row">
			<NumberField
				label="Room kept before, minutes"
				least={0}
				most={MOST_CHANGEOVER_MINUTES}
				value={changeover.beforeMinutes}
				onchange={(number) =>
					set({ changeover: { ...changeover, beforeMinutes: number ?? changeover.beforeMinutes } })}
			/>
			<NumberField
				label="And after, minutes"
				least={0}
				most={MOST_CHANGEOVER_MINUTES}
				value={changeover.afterMinutes}
				onchange={(number) =>
					set({ changeover: { ...changeover, afterMinutes: number ?? changeover.afterMinutes } })}
			/>
		</div>
		<Words label="Note" rows={2} most={1000} value={group.note} oninput={(note) => set({ note })} />
	</section>

	<GroupTargets {group} onchange={set} />

	<GroupPurposes {group} onchange={set} />

	<section class="sheet" aria-labelledby="cautions">
		<h2 id="cautions">Cautions in the room</h2>
		<p class="quiet">
			What and how many; no name, no diagnosis. After surgery or with leg symptoms the treating clinician
			decides.
		</p>
		<ul>
			{#each group.cautions as known, index (index)}
				<li>
					<span>{known.caution}</span>
					<NumberField
						narrow
						hideLabel
						label="People with {known.caution}"
						least={1}
						most={200}
						value={known.people}
						onchange={(people) =>
							set({
								cautions: group.cautions.map((c) => (c === known ? { ...c, people: people ?? 1 } : c))
							})}
					/>
					<IconButton
						label="Remove {known.caution}"
						icon={Close}
						onpress={() => set({ cautions: group.cautions.filter((c) => c !== known) })}
					/>
				</li>
			{:else}
				<li class="quiet">None known</li>
			{/each}
		</ul>
		<div class="row end">
			<Select id="g-caution" labelText="Another caution" bind:selected={nextCaution}>
				<SelectItem value="" text="Choose" />
				{#each free as caution, index (index)}<SelectItem value={caution} text={caution} />{/each}
			</Select>
			<Button kind="tertiary" size="field" disabled={!nextCaution} on:click={addCaution}>Add</Button>
		</div>
	</section>

	<GroupKit {group} onchange={set} />
</div>

<style>
	.form {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(26rem, 1fr));
		gap: 1.25rem;
		align-items: start;
	}
	section {
		display: grid;
		gap: 0.9rem;
	}
	.row {
		display: grid;
		grid-template-columns: repeat(4, minmax(0, 1fr));
		gap: 0.75rem;
		align-items: end;
	}
	/* the longest day and the longest moment are read whole */
	.row.times {
		grid-template-columns: minmax(9.5rem, 1fr) minmax(0, 0.7fr) minmax(0, 0.7fr) minmax(10rem, 1fr);
	}
	.row.end {
		grid-template-columns: 1fr auto;
		align-items: end;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.4rem;
	}
	li {
		display: flex;
		align-items: center;
		gap: 0.75rem;
	}
	li span {
		flex: 1;
	}
	@media (max-width: 40rem) {
		.form {
			grid-template-columns: minmax(0, 1fr);
		}
		.row,
		.row.times {
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
