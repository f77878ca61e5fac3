<script lang="ts">
	import { TimePicker } from 'carbon-components-svelte';
	import { tick } from 'svelte';
	import { readTime } from '$lib/core/clock';

	/** A time of day of 24 hours: "18:30", "1830" or "18". */
	interface Props {
		label: string;
		hideLabel?: boolean;
		/** As HH:MM. */
		value: string;
		onpick: (time: string) => void;
	}
	let { label, hideLabel = false, value, onpick }: Props = $props();

	const id = $props.id();
	let wrong = $state(false);
	let typed = $derived(value);

	async function take(event: Event) {
		const field = event.target as HTMLInputElement;
		const time = readTime(field.value);
		wrong = time === null;
		if (time === null) return;
		if (time !== value) onpick(time);
		await tick();
		typed = value;
		field.value = value;
	}
</script>

<TimePicker
	{id}
	size="sm"
	labelText={label}
	{hideLabel}
	placeholder="18:30"
	pattern="([01]?[0-9]|2[0-3]):?[0-5]?[0-9]?"
	value={typed}
	invalid={wrong}
	invalidText="A time, as in 18:30"
	on:change={take}
/>
