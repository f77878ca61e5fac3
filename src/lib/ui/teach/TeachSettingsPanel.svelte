<script lang="ts">
	import { LOOKS, type DeviceSettings } from '$lib/client/teach/settings.svelte';
	import {
		keyName,
		keysOf,
		TEACH_ACTS,
		TEACH_KEYS,
		withKey,
		type TeachAct
	} from '$lib/client/teach/teach-keys';
	import { WAYS, type Lead, type CatchUpMethod } from '$lib/core/teach';
	import { Button, Modal } from 'carbon-components-svelte';
	import Choice from '../fields/Choice.svelte';
	import Fold from '../fields/Fold.svelte';
	import Tick from '../fields/Tick.svelte';

	/** How the teacher teaches with this device; it stays with the device. */
	interface Props {
		settings: DeviceSettings;
		keysOpen: boolean;
		onclose: () => void;
		onend: () => void;
	}
	let { settings, keysOpen, onclose, onend }: Props = $props();

	const LEAD_WORDS: Record<Lead, string> = { hand: 'I do, with a tap', clock: 'The clock does' };
	const WAY_WORDS: Record<CatchUpMethod, string> = {
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
	/** The action that the next pressed key is assigned to. */
	let setting = $state<TeachAct | null>(null);

	function onkeydown(event: KeyboardEvent) {
		if (!setting || ['Shift', 'Control', 'Alt', 'Meta', 'Tab'].includes(event.key)) return;
		event.preventDefault();
		event.stopPropagation();
		if (event.key !== 'Escape') settings.set({ keys: withKey(now.keys, setting, event.key) });
		setting = null;
	}
</script>

<svelte:window onkeydowncapture={onkeydown} />

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
				label="Wait until everyone is in position"
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
				>for a second screen, or for another device of the studio at the address /teach/room: figure, side and
				count, no word about persons</span
			>
		</p>
		<Fold title="Keys, clicker, pedal" open={keysOpen}>
			<ul>
				{#each TEACH_ACTS as act (act)}
					<li>
						<span class="what">{TEACH_KEYS[act].words}</span>
						<span class="keys">
							{#each keysOf(act, now.keys) as key, index (index)}<kbd>{keyName(key)}</kbd>
							{/each}
						</span>
						<Button
							kind="ghost"
							size="small"
							aria-label="Another key for: {TEACH_KEYS[act].words}"
							on:click={() => (setting = act)}>{setting === act ? 'Press it now' : 'Another key'}</Button
						>
					</li>
				{/each}
			</ul>
			<p role="status" class="quiet">
				{setting ? `Press the key, the clicker or the pedal for: ${TEACH_KEYS[setting].words}` : ''}
			</p>
			{#if Object.keys(now.keys).length}
				<Button kind="tertiary" size="small" on:click={() => settings.set({ keys: {} })}>Reset keys</Button>
			{/if}
		</Fold>
	</div>
</Modal>

<style>
	.fields {
		display: grid;
		gap: 0.9rem;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		font-size: var(--text-m);
	}
	li {
		display: grid;
		grid-template-columns: 1fr auto;
		align-items: center;
		gap: 0 0.75rem;
		padding: 0.2rem 0;
		border-top: 1px solid var(--line);
	}
	.keys {
		grid-row: 2;
	}
	li :global(.bx--btn) {
		grid-row: 1 / 3;
		grid-column: 2;
	}
</style>
