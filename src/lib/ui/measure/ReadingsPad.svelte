<script lang="ts">
	import { LEGS } from '$lib/core/anatomy';
	import {
		GRADINGS,
		HIP_TESTS,
		MOST_READINGS,
		STOPS,
		type ReadingSource,
		type Sides,
		type StopReason,
		type TestId
	} from '$lib/core/hip-tests';
	import { listenToInclinometer, phone } from '$lib/client/measure/sources';
	import { Taking } from '$lib/client/measure/taking.svelte';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import { Button, ProgressBar } from 'carbon-components-svelte';
	import { onDestroy, untrack } from 'svelte';

	/** One person read up to three times on each side: by hand, by the phone laid on the limb, or by an inclinometer. */
	interface Props {
		test: TestId;
		source: ReadingSource;
		busy: boolean;
		onkeep: (readings: Sides<number[]>, stops: Partial<Sides<StopReason>>) => void;
	}
	let { test, source, busy, onkeep }: Props = $props();

	const taking = untrack(() => new Taking(test, source === 'phone' ? phone : listenToInclinometer));
	onDestroy(() => taking.end());

	let stops = $state<Partial<Sides<StopReason>>>({});
	const { scale } = $derived(GRADINGS[test]);
	const sides = $derived(HIP_TESTS[test].sided ? LEGS : (['left'] as const));
	const unit = $derived(scale?.unit ?? 'grade');
	const limits = $derived(scale ? { least: scale.least, most: scale.most } : { least: 0, most: 3 });
	const some = $derived(taking.readings.left.length + taking.readings.right.length > 0);
</script>

{#if source !== 'by hand' && scale?.laidOn}
	<p>
		Place it on {scale.laidOn} at rest, then start: that is zero. Hold the limb still for a second and a half for
		each reading; {MOST_READINGS} on one side, then the other.
	</p>
	<p class="buttons">
		{#if taking.leg === null}
			<Button
				size="field"
				disabled={!taking.nextLeg}
				on:click={() => taking.nextLeg && taking.begin(taking.nextLeg)}
				>{some ? 'Go on' : sides.length > 1 ? 'Begin with the left' : 'Begin'}</Button
			>
		{:else}
			<Button size="field" kind="secondary" on:click={() => taking.end()}>Stop</Button>
		{/if}
	</p>
	{#if taking.leg}
		<div class="now">
			<p class="hero">{taking.degrees === null ? '…' : `${Math.round(taking.degrees)}°`}</p>
			<p><b>{taking.leg} leg</b></p>
			<ProgressBar value={Math.round(taking.still * 100)} labelText="Held still" />
		</div>
	{/if}
	<p role="status">
		{#if taking.problem}{taking.problem}
		{:else if taking.isLost && taking.leg}The connection is lost. All readings are kept; it continues when the
			connection is back.
		{:else if taking.batteryPercent !== null && taking.leg}Battery {taking.batteryPercent} %{/if}
	</p>
{/if}
<div class="sides">
	{#each sides as leg, i (i)}
		<fieldset>
			<legend>{HIP_TESTS[test].sided ? leg : 'both'}, {unit}</legend>
			<ul>
				{#each taking.readings[leg] as reading, index (index)}
					<li>
						{reading}
						<Button
							kind="ghost"
							size="small"
							aria-label="Take out reading {index + 1} of the {leg}"
							on:click={() => taking.drop(leg, index)}>×</Button
						>
					</li>
				{:else}
					<li class="quiet">nothing yet</li>
				{/each}
			</ul>
			{#if source === 'by hand' && taking.readings[leg].length < MOST_READINGS}
				{#key taking.readings[leg].length}
					<NumberField
						label="Reading {taking.readings[leg].length + 1} of the {leg}"
						least={limits.least}
						most={limits.most}
						empty="none"
						value={null}
						onchange={(value) => value !== null && taking.type(leg, value)}
					/>
				{/key}
			{/if}
			<Choice
				label="Where does the {HIP_TESTS[test].sided ? `${leg} ` : ''}stop?"
				value={stops[leg] ?? ''}
				options={[{ value: '', text: 'not asked' }, ...STOPS]}
				onpick={(stop) => {
					if (stop) stops[leg] = stop;
					else delete stops[leg];
				}}
			/>
		</fieldset>
	{/each}
</div>
<p>
	<Button
		size="field"
		disabled={busy || !some}
		on:click={() => onkeep($state.snapshot(taking.readings), $state.snapshot(stops))}
		>Keep these readings</Button
	>
</p>

<style>
	.now {
		display: grid;
		gap: 0.25rem;
		max-width: 22rem;
	}
	.hero {
		font-size: var(--text-hero);
		font-weight: 650;
	}
	.sides {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
		gap: 1rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
	}
</style>
