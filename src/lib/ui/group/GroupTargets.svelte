<script lang="ts">
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import { DIRECTION_NAME, DIRECTION_SIGN, DIRECTIONS, type Direction } from '$lib/core/anatomy';
	import { preset, PRESETS, type Group, type PresetId } from '$lib/core/group';
	import type { Band } from '$lib/core/orbit';
	import {
		Button,
		Select,
		SelectItem,
		Table,
		TableBody,
		TableCell,
		TableHead,
		TableHeader,
		TableRow
	} from 'carbon-components-svelte';

	/** Targets of a group, with the reason for each band. */
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
		Shares of the direction time of a class, in percent, and the target share of strength work.
	</p>
	<Table size="compact">
		<TableHead
			><TableRow
				><TableHeader>Direction, and why</TableHeader><TableHeader>From</TableHeader><TableHeader
					>To</TableHeader
				></TableRow
			></TableHead
		>
		<TableBody>
			{#each [...DIRECTIONS, 'strength' as const] as key (key)}
				{@const band = key === 'strength' ? group.targets.strength : group.targets.directions[key]}
				{@const name = key === 'strength' ? 'strength' : DIRECTION_NAME[key]}
				<TableRow>
					<TableHeader scope="row">
						{#if key !== 'strength'}
							<span class="sign" style="background: var(--{key}); color: var(--on-{key})"
								>{DIRECTION_SIGN[key]}</span
							>
						{/if}
						{name}
						<span class="why quiet">{because[key] ?? ''}</span>
					</TableHeader>
					{#each ENDS as [end, word] (end)}
						<TableCell>
							<NumberField
								narrow
								hideLabel
								label="{name}, {word} percent"
								least={0}
								most={100}
								value={band[end]}
								onchange={(percent) => percent !== null && setBand(key, { [end]: percent })}
							/>
						</TableCell>
					{/each}
				</TableRow>
			{/each}
		</TableBody>
	</Table>
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
			>Reset to the preset’s targets</Button
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
