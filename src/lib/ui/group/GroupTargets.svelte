<script lang="ts">
	import { DIRECTION_NAME, DIRECTION_SIGN, DIRECTIONS, type Direction } from '$lib/core/anatomy';
	import { preset, PRESETS, type Group, type PresetId } from '$lib/core/group';
	import type { Band } from '$lib/core/orbit';
	import { Button, Select, SelectItem } from 'carbon-components-svelte';

	/** What a group shall get, with the reason for each band. */
	interface Props {
		group: Group;
		onchange: (change: Partial<Group>) => void;
	}
	let { group, onchange }: Props = $props();

	const ENDS: readonly [keyof Band, string][] = [
		['minPercent', 'from'],
		['maxPercent', 'to']
	];
	const because = $derived(preset(group.preset).because);

	/** A field that was emptied keeps what was there, and says so. */
	function setEnd(
		direction: Direction | 'strength',
		end: keyof Band,
		input: HTMLInputElement,
		before: number
	) {
		if (Number.isNaN(input.valueAsNumber)) input.valueAsNumber = before;
		else setBand(direction, { [end]: input.valueAsNumber });
	}

	function setBand(direction: Direction | 'strength', change: Partial<Band>) {
		const { targets } = group;
		if (direction === 'strength')
			onchange({ targets: { ...targets, strength: { ...targets.strength, ...change } } });
		else {
			const directions = {
				...targets.directions,
				[direction]: { ...targets.directions[direction], ...change }
			};
			onchange({ targets: { ...targets, directions } });
		}
	}

	function toPreset(id: PresetId) {
		onchange({ preset: id, targets: structuredClone(preset(id).targets) });
	}
</script>

<section class="sheet" aria-labelledby="targets">
	<h2 id="targets">Targets</h2>
	<p class="quiet">
		Shares of the direction time of a class, in percent, and how much of the work shall strengthen.
	</p>
	<table class="figures">
		<thead
			><tr><th scope="col">Direction, and why</th><th scope="col">From</th><th scope="col">To</th></tr></thead
		>
		<tbody>
			{#each [...DIRECTIONS, 'strength' as const] as key (key)}
				{@const band = key === 'strength' ? group.targets.strength : group.targets.directions[key]}
				{@const name = key === 'strength' ? 'strength' : DIRECTION_NAME[key]}
				<tr>
					<th scope="row">
						{#if key !== 'strength'}
							<span class="sign" style="background: var(--{key}); color: var(--on-{key})"
								>{DIRECTION_SIGN[key]}</span
							>
						{/if}
						{name}
						<span class="why quiet">{because[key] ?? ''}</span>
					</th>
					{#each ENDS as [end, word] (end)}
						<td>
							<input
								class="figure"
								type="number"
								min="0"
								max="100"
								aria-label="{name}, {word} percent"
								value={band[end]}
								onchange={(e) => setEnd(key, end, e.currentTarget, band[end])}
							/>
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
	<div class="row end">
		<Select
			id="g-preset"
			labelText="Preset"
			selected={group.preset}
			on:update={(e) => onchange({ preset: e.detail as PresetId })}
		>
			{#each PRESETS as id (id)}<SelectItem value={id} text={preset(id).label} />{/each}
		</Select>
		<Button kind="tertiary" size="field" on:click={() => toPreset(group.preset)}
			>Back to the preset’s targets</Button
		>
	</div>
</section>

<style>
	section {
		display: grid;
		gap: 0.9rem;
	}
	.row.end {
		display: grid;
		gap: 0.75rem;
		grid-template-columns: 1fr auto;
		align-items: end;
	}
	th {
		white-space: normal;
	}
	.why {
		display: block;
	}
	.sign {
		display: inline-block;
		min-width: 1.65rem;
		border-radius: 4px;
		text-align: center;
		font-weight: 700;
		font-size: var(--text-xs);
	}
</style>
