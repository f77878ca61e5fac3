<script lang="ts">
	import { LOOKS, type DeviceSettings } from '$lib/client/teach/settings.svelte';
	import { keyName, TEACH_ACTS, TEACH_KEYS } from '$lib/client/teach/teach-keys';
	import { WAYS, type Lead, type Way } from '$lib/core/teach';
	import { Button, Modal } from 'carbon-components-svelte';
	import Choice from '../fields/Choice.svelte';
	import Fold from '../fields/Fold.svelte';
	import Tick from '../fields/Tick.svelte';

	/** How somebody teaches with this device; it stays with the device. */
	interface Props {
		settings: DeviceSettings;
		keysOpen: boolean;
		onclose: () => void;
		onend: () => void;
	}
	let { settings, keysOpen, onclose, onend }: Props = $props();

	const LEAD_WORDS: Record<Lead, string> = { hand: 'I do, with a tap', clock: 'The clock does' };
	const WAY_WORDS: Record<Way, string> = {
		shorten: 'Shorter doses',
		'fewer sets': 'Fewer sets',
		'leave out': 'Leave something out'
	};
	const LOOK_WORDS = { light: 'Light', dark: 'Dark, for the evening', contrast: 'High contrast' } as const;
	const SIGNALS = [
		{ key: 'tones', label: 'Soft tones: side change, last ten seconds, end' },
		{ key: 'breathTones', label: 'A tone with each breath' },
		{ key: 'vibration', label: 'Vibration, where the device has it' },
		{ key: 'speech', label: 'Spoken cues, by a voice of this device' }
	] as const;
	const now = $derived(settings.now);
</script>

<Modal open passiveModal modalHeading="How I teach" on:close={onclose}>
	<div class="fields">
		<Choice
			label="Who moves on"
			value={now.lead}
			options={Object.entries(LEAD_WORDS).map(([value, text]) => ({ value: value as Lead, text }))}
			onpick={(lead) => settings.set({ lead })}
		/>
		{#if now.lead === 'clock'}
			<Tick
				label="It waits until people are in"
				checked={now.waitsForPeople}
				onchange={(waitsForPeople) => settings.set({ waitsForPeople })}
			/>
		{/if}
		<Tick
			label="I face the group: drawings are mirrored, and my own leg is said beside theirs"
			checked={now.isFacing}
			onchange={(isFacing) => settings.set({ isFacing })}
		/>
		<Choice
			label="Look"
			value={now.look}
			options={LOOKS.map((value) => ({ value, text: LOOK_WORDS[value] }))}
			onpick={(look) => settings.set({ look })}
		/>
		{#each SIGNALS as { key, label } (key)}
			<Tick {label} checked={now[key]} onchange={(isOn) => settings.set({ [key]: isOn })} />
		{/each}
		<Choice
			label="To end on time, offer first"
			value={now.firstWay}
			options={WAYS.map((value) => ({ value, text: WAY_WORDS[value] }))}
			onpick={(firstWay) => settings.set({ firstWay })}
		/>
		<Button kind="tertiary" size="small" on:click={onend}>End the class now</Button>
		<p>
			<a href="/teach/room" target="_blank">Open the room view</a>
			<span class="quiet"
				>for a second screen of this machine: figure, side and count, no word about persons</span
			>
		</p>
		<Fold title="Keys, clicker, pedal" open={keysOpen}>
			<dl>
				{#each TEACH_ACTS as act (act)}
					<dt>
						{#each TEACH_KEYS[act].keys as key, index (index)}<kbd>{keyName(key)}</kbd>
						{/each}
					</dt>
					<dd>{TEACH_KEYS[act].words}</dd>
				{/each}
			</dl>
		</Fold>
	</div>
</Modal>

<style>
	.fields {
		display: grid;
		gap: 0.9rem;
	}
	dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.3rem 1rem;
		margin: 0;
		font-size: var(--text-m);
	}
	dd {
		margin: 0;
	}
</style>
