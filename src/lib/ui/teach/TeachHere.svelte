<script lang="ts">
	import { prepareHere } from '$lib/client/teach/on-device';
	import { usuallyHere } from '$lib/core/group';
	import type { Attendance } from '$lib/core/people';
	import type { TeachPack } from '$lib/core/teach';
	import { Button } from 'carbon-components-svelte';
	import HereCounts from '../group/HereCounts.svelte';

	/** Who is here today, counted at the door: who does what, and the kit, are worked out on this device. */
	interface Props {
		pack: TeachPack;
		/** Counted on this page; null: as the plan has it. */
		here: Attendance | null;
		oncount: (here: Attendance | null, pack: TeachPack) => void;
	}
	let { pack, here, oncount }: Props = $props();

	const asPlanned = $derived(pack.source?.plan.here);
	const usual = $derived(pack.source && usuallyHere(pack.source.group));
</script>

{#if usual}
	<HereCounts
		here={here ?? asPlanned ?? usual}
		oncount={(counted) => oncount(counted, prepareHere(pack, counted))}
	/>
	{#if here}
		<Button size="small" kind="ghost" on:click={() => oncount(null, prepareHere(pack, asPlanned))}>
			Reset to the plan
		</Button>
	{/if}
{/if}
