<script lang="ts">
	import Words from '$lib/ui/fields/Words.svelte';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import { MOST_CHANGEOVER_MINUTES, NO_CHANGEOVER } from '$lib/core/calendar';
	import { meetingsOf, MOMENTS, TIERS, type Group, type Kit, withMeetings } from '$lib/core/group';
	import { LENGTH_MINUTES, lengthOfMinutes, minutesOfLength } from '$lib/core/plan';
	import GroupCautions from './GroupCautions.svelte';
	import GroupKit from './GroupKit.svelte';
	import Meetings from './Meetings.svelte';
	import GroupPurposes from './GroupPurposes.svelte';
	import GroupTargets from './GroupTargets.svelte';

	/** A group, every field of it; each change is handed up as a whole new group. */
	interface Props {
		group: Group;
		/** Kit of the studio. */
		studioKit: Kit;
		onchange: (group: Group) => void;
	}
	let { group, studioKit, onchange }: Props = $props();

	const changeover = $derived(group.changeover ?? NO_CHANGEOVER);
	const set = (change: Partial<Group>) => onchange({ ...group, ...change });
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
		<Meetings meetings={meetingsOf(group)} most={7} onchange={(meetings) => set(withMeetings(meetings))} />
		<div class="row times">
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
				label="Set-up time (min)"
				least={0}
				most={MOST_CHANGEOVER_MINUTES}
				value={changeover.beforeMinutes}
				onchange={(number) =>
					set({ changeover: { ...changeover, beforeMinutes: number ?? changeover.beforeMinutes } })}
			/>
			<NumberField
				label="Clear-up time (min)"
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
		<GroupCautions cautions={group.cautions} onchange={(cautions) => set({ cautions })} />
	</section>

	<GroupKit {group} {studioKit} onchange={set} />
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
	/* the longest moment is read whole */
	.row.times {
		grid-template-columns: minmax(0, 0.7fr) minmax(10rem, 1fr);
		justify-content: start;
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
