<script lang="ts">
	import type { Onboarding } from '$lib/client/begin/onboarding.svelte';
	import { meetingsOf, MOMENTS, MOST_PIECES, withMeetings } from '$lib/core/group';
	import { LENGTH_MINUTES, lengthOfMinutes, minutesOfLength } from '$lib/core/plan';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import DayField from '$lib/ui/fields/DayField.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import KitCounts from '$lib/ui/group/KitCounts.svelte';
	import Meetings from '$lib/ui/group/Meetings.svelte';

	/** When the group meets, the day of its first class, and what the room holds. */
	interface Props {
		beginning: Onboarding;
	}
	let { beginning }: Props = $props();

	const group = $derived(beginning.group);
</script>

<div class="when">
	<div class="meets">
		<Meetings
			meetings={meetingsOf(group)}
			most={7}
			onchange={(meetings) => beginning.change(withMeetings(meetings))}
		/>
	</div>
	<NumberField
		label="Minutes"
		least={LENGTH_MINUTES.least}
		most={LENGTH_MINUTES.most}
		value={minutesOfLength(group.lengthSeconds)}
		onchange={(minutes) =>
			beginning.change({ lengthSeconds: lengthOfMinutes(minutes ?? 0) ?? group.lengthSeconds })}
	/>
	<Choice
		label="Moment"
		value={group.moment}
		options={MOMENTS}
		onpick={(moment) => beginning.change({ moment })}
	/>
	<DayField label="First class on" value={beginning.day} onpick={(day) => (beginning.picked = day)} />
</div>
<h3>What the room holds, in pieces</h3>
<p class="quiet">Asked once: all groups of the studio share it, and a group with other kit says so.</p>
<KitCounts kit={beginning.kit} most={MOST_PIECES} onchange={(kit) => (beginning.kit = kit)} />

<style>
	.when {
		display: flex;
		flex-wrap: wrap;
		gap: 0.75rem 1rem;
		align-items: start;
	}
	.meets {
		display: grid;
		gap: 0.4rem;
	}
</style>
