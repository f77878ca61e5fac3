<script lang="ts">
	import Words from '$lib/ui/fields/Words.svelte';
	import Tick from '$lib/ui/fields/Tick.svelte';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import { MUSCLE_GROUPS, TISSUES } from '$lib/core/anatomy';
	import { toggled, type DraftLeg } from '$lib/core/movement';

	/** Fields for the action of one leg. */
	interface Props {
		title: string;
		leg: DraftLeg;
		onchange: (leg: DraftLeg) => void;
	}
	let { title, leg, onchange }: Props = $props();

	const set = (change: Partial<DraftLeg>) => onchange({ ...leg, ...change });
	const said = (list: string[]) => (list.length ? `(${list.join(', ')})` : '');
</script>

<fieldset>
	<legend>{title}</legend>
	<Words label="Angles, degrees" value={leg.angles} oninput={(text) => set({ angles: text })} />
	<Fold title="Lengthens {said(leg.lengthens)}">
		<div class="checks">
			{#each TISSUES as tissue (tissue)}
				<Tick
					label={tissue}
					checked={leg.lengthens.includes(tissue)}
					onchange={(on) => set({ lengthens: toggled(leg.lengthens, tissue, on) })}
				/>
			{/each}
		</div>
	</Fold>
	<Fold title="Works {said(leg.works)}">
		<div class="checks">
			{#each MUSCLE_GROUPS as group (group)}
				<Tick
					label={group}
					checked={leg.works.includes(group)}
					onchange={(on) => set({ works: toggled(leg.works, group, on) })}
				/>
			{/each}
		</div>
	</Fold>
</fieldset>
