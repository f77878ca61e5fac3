<script lang="ts">
	import { MUSCLE_GROUPS, TISSUES } from '$lib/core/anatomy';
	import { toggled, type DraftLeg } from '$lib/core/movement';

	/** What one leg does, as it is written down. */
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
	<label>
		Angles, degrees
		<input type="text" value={leg.angles} oninput={(e) => set({ angles: e.currentTarget.value })} />
	</label>
	<details>
		<summary>Lengthens {said(leg.lengthens)}</summary>
		<div class="checks">
			{#each TISSUES as tissue (tissue)}
				<label class="check">
					<input
						type="checkbox"
						checked={leg.lengthens.includes(tissue)}
						onchange={(e) => set({ lengthens: toggled(leg.lengthens, tissue, e.currentTarget.checked) })}
					/>{tissue}
				</label>
			{/each}
		</div>
	</details>
	<details>
		<summary>Works {said(leg.works)}</summary>
		<div class="checks">
			{#each MUSCLE_GROUPS as group (group)}
				<label class="check">
					<input
						type="checkbox"
						checked={leg.works.includes(group)}
						onchange={(e) => set({ works: toggled(leg.works, group, e.currentTarget.checked) })}
					/>{group}
				</label>
			{/each}
		</div>
	</details>
</fieldset>
