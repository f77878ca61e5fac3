<script lang="ts">
	import type { PlanDesk } from '$lib/client/plan/plan-desk';
	import { paceOf, type PaceModel } from '$lib/core/pace';
	import type { StyleChoices } from '$lib/core/style';
	import PacePanel from './PacePanel.svelte';
	import PartKinds from './PartKinds.svelte';
	import StylePanel from './StylePanel.svelte';

	/** Style and pace of one class, where they are otherwise than the teacher's own. */
	interface Props {
		desk: PlanDesk;
		usual: StyleChoices;
		pace: PaceModel;
	}
	let { desk, usual, pace }: Props = $props();

	const doc = $derived(desk.document);
</script>

<StylePanel choices={doc.plan.style ?? {}} {usual} onchange={(change) => doc.setStyle(change)} />
<h3>Pace</h3>
<PacePanel
	own={doc.plan.pinnedPace ?? {}}
	kind={doc.plan.pinnedPace?.classKind ?? pace.classKind}
	usual={paceOf(pace)}
	usualWords="your usual"
	onchange={(change) => doc.edit({ do: 'setPace', change }, 'Pace of this class changed')}
/>
<PartKinds sections={doc.order} blocks={desk.blocks} />

<style>
	h3 {
		margin: 1rem 0 0.4rem;
	}
</style>
