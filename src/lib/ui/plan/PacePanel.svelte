<script lang="ts">
	import {
		PACE_LIMITS,
		paceChangesSchema,
		TALK_STYLES,
		type Pace,
		type PaceChanges,
		type PaceFigure,
		type PaceSaid
	} from '$lib/core/pace';

	/** How long the things take that are not the work itself: what is set here, over what holds otherwise. */
	interface Props {
		own: PaceChanges;
		usual: Pace;
		/** Whose the other figures are, as in "observed median". */
		usualWords: string;
		/** A figure left undefined is taken back. */
		onchange: (change: PaceSaid) => void;
	}
	let { own, usual, usualWords, onchange }: Props = $props();

	const figures: { key: PaceFigure; label: string; step: number }[] = [
		{ key: 'heldBreathSeconds', label: 'A slow held breath', step: 0.5 },
		{ key: 'movingBreathSeconds', label: 'A breath joined to a movement', step: 0.5 },
		{ key: 'countSeconds', label: 'A spoken count', step: 0.25 },
		{ key: 'setUpSeconds', label: 'Getting into a shape', step: 1 },
		{ key: 'changeSidesSeconds', label: 'Changing sides', step: 1 },
		{ key: 'changeSidesWithPropSeconds', label: 'Changing sides with kit', step: 1 },
		{ key: 'moveSeconds', label: 'Changing body position, usually', step: 1 }
	];
	const known = $derived({ ...usual, ...own });
	const id = $props.id();

	function set(key: PaceFigure, text: string) {
		if (text.trim() === '') onchange({ [key]: undefined });
		else if (paceChangesSchema.isValidSync({ [key]: Number(text) })) onchange({ [key]: Number(text) });
	}
</script>

<div class="pace">
	<span class="field">
		<label for="{id}-talk">How much is explained</label>
		<select
			id="{id}-talk"
			value={known.talk}
			onchange={(event) => onchange({ talk: event.currentTarget.value as PaceChanges['talk'] })}
		>
			{#each TALK_STYLES as talk (talk)}
				<option value={talk}>{talk}: {usual.explainSeconds[talk]} s a new shape</option>
			{/each}
		</select>
	</span>
	{#each figures as { key, label, step } (key)}
		<span class="field">
			<label for="{id}-{key}">{label}, seconds</label>
			<input
				id="{id}-{key}"
				type="number"
				min={PACE_LIMITS[key].min}
				max={PACE_LIMITS[key].max}
				{step}
				value={known[key]}
				onchange={(event) => set(key, event.currentTarget.value)}
			/>
			<span class="quiet">{own[key] === undefined ? usualWords : `${usualWords} ${usual[key]}`}</span>
		</span>
	{/each}
</div>

<style>
	.pace {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
		gap: 0.75rem;
	}
	.field {
		display: grid;
		gap: 0.15rem;
		font-size: var(--text-s);
	}
	input,
	select {
		height: 2.2rem;
		border: 1px solid var(--line-strong);
		border-radius: 6px;
		padding: 0 0.5rem;
		background: var(--sheet);
		color: var(--ink);
		font-size: var(--text-m);
	}
</style>
