<script lang="ts">
	import {
		CLASS_KINDS,
		FIGURE_NAMES,
		KINDS,
		PACE_LIMITS,
		paceChangesSchema,
		type ClassKind,
		type Pace,
		type PaceChanges,
		type PaceFigure,
		type PaceSaid
	} from '$lib/core/pace';
	import { Checkbox, NumberInput, RadioButton, RadioButtonGroup } from 'carbon-components-svelte';

	/** How long things take: what is set here, over what holds otherwise. */
	interface Props {
		own: PaceChanges;
		/** The kind that holds, where one was chosen. */
		kind: ClassKind | undefined;
		usual: Pace;
		/** Whose the other figures are, as in "observed median". */
		usualWords: string;
		/** Where a figure comes from, where more is to be said of it. */
		whence?: Record<PaceFigure, string>;
		/** A figure left undefined is taken back. */
		onchange: (change: PaceSaid) => void;
	}
	let { own, kind, usual, usualWords, whence, onchange }: Props = $props();

	const figures: { key: PaceFigure; step: number }[] = [
		{ key: 'heldBreathSeconds', step: 0.5 },
		{ key: 'movingBreathSeconds', step: 0.5 },
		{ key: 'roundBreathSeconds', step: 0.5 },
		{ key: 'countSeconds', step: 0.1 },
		{ key: 'setUpSeconds', step: 1 },
		{ key: 'changeSidesSeconds', step: 1 },
		{ key: 'changeSidesWithPropSeconds', step: 1 },
		{ key: 'moveSeconds', step: 1 }
	];
	const known = $derived({ ...usual, ...own });
	/** A tenth is all that is known; what is typed stays as it is. */
	const shown = (key: PaceFigure) => own[key] ?? Math.round(usual[key] * 10) / 10;
	const id = $props.id();

	function set(key: PaceFigure, value: number | null) {
		if (value === null) onchange({ [key]: undefined });
		else if (value !== shown(key) && paceChangesSchema.isValidSync({ [key]: value }))
			onchange({ [key]: value });
	}
</script>

<RadioButtonGroup
	legendText="Kind of class, told by what you can count"
	orientation="vertical"
	name="{id}-kind"
	selected={kind ?? ''}
	on:change={(event) => onchange({ classKind: event.detail as ClassKind })}
>
	{#each CLASS_KINDS as each (each)}
		<RadioButton
			id="{id}-{each}"
			value={each}
			labelText="{KINDS[each].name}: {KINDS[each].signs}; {KINDS[each].setUpSeconds
				.new} s of set-up and words for a new shape"
		/>
	{/each}
</RadioButtonGroup>
<div class="pace">
	{#each figures as { key, step } (key)}
		<NumberInput
			id="{id}-{key}"
			size="sm"
			hideSteppers
			allowEmpty
			labelText="{FIGURE_NAMES[key]}, seconds"
			min={PACE_LIMITS[key].min}
			max={PACE_LIMITS[key].max}
			{step}
			value={shown(key)}
			helperText={whence?.[key] ?? (own[key] === undefined ? usualWords : `${usualWords} ${usual[key]}`)}
			on:change={(event) => set(key, event.detail)}
		/>
	{/each}
</div>
<Checkbox
	id="{id}-timer"
	labelText="I hold seconds by a timer: they last as long as planned"
	checked={known.timer}
	on:check={(event) => onchange({ timer: event.detail })}
/>

<style>
	.pace {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(14rem, 1fr));
		gap: 0.75rem;
		margin: 1rem 0 0.75rem;
	}
</style>
