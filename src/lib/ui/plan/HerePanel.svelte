<script lang="ts">
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import { usuallyHere } from '$lib/core/group';
	import { sizeOf, type Attendance } from '$lib/core/people';
	import { Button } from 'carbon-components-svelte';
	import HereCounts from '../group/HereCounts.svelte';

	/** Who is here today, counted at the door: the room sheet, the kit and the checks follow. */
	interface Props {
		doc: PlanDocument;
	}
	let { doc }: Props = $props();

	const usual = $derived(usuallyHere(doc.context.group));
	const here = $derived(doc.plan.here ?? usual);
	const set = (next: Attendance | undefined, said: string) => doc.edit({ do: 'setHere', here: next }, said);
</script>

<p class="quiet">
	{doc.plan.here
		? `${sizeOf(here)} people today; ${sizeOf(usual)} usually`
		: `As usual: ${sizeOf(usual)} people. Adjust today’s numbers: room sheet, kit and checks update.`}
</p>
<HereCounts {here} oncount={(counted) => set(counted, 'Counted')} />
{#if doc.plan.here}
	<Button size="small" kind="ghost" on:click={() => set(undefined, 'As usual')}>Reset to usual</Button>
{/if}
