<script lang="ts">
	import { wholeNumber } from '$lib/core/validation';
	import { TextInput } from 'carbon-components-svelte';

	/** A whole number within its limits: one outside is said beside the field, and not taken. */
	interface Props {
		label: string;
		/** Whether the label is for screen readers only. */
		hideLabel?: boolean;
		value: number | null;
		least: number;
		most: number;
		/** Meaning of an empty field; without it a field may not be empty. */
		empty?: string;
		/** For forms that are sent. */
		name?: string;
		/** Takes each number while it is typed, not only when the field is left. */
		live?: boolean;
		/** Only as wide as its figures. */
		narrow?: boolean;
		/** A number that may be taken; null where the field was emptied and may be. */
		onchange?: (value: number | null) => void;
	}
	let {
		label,
		hideLabel = false,
		value,
		least,
		most,
		empty,
		name,
		live = false,
		narrow = false,
		onchange
	}: Props = $props();

	const id = $props.id();
	/** The accepted value; in a form that is sent, the field itself holds it. */
	let kept = $derived(value);
	/**
	 * The typed value until it is accepted; a wrong one stays, with the allowed range. Undefined where it equals the
	 * accepted value.
	 */
	let typed = $derived.by((): number | null | undefined => {
		// a value from elsewhere, as by undo, replaces it
		void value;
		return undefined;
	});
	const shown = $derived(typed === undefined ? kept : typed);
	const schema = $derived(wholeNumber(least, most, empty !== undefined));
	const isRight = (number: number | null) => schema.isValidSync(number, { strict: true });

	const asNumber = (typed: unknown) => (typeof typed === 'number' ? typed : null);

	function taken(number: number | null, isDone: boolean) {
		typed = number;
		if (!(live || isDone) || !isRight(number) || number === kept) return;
		if (onchange) onchange(number);
		else kept = number;
	}
</script>

<div class="number" class:narrow>
	<TextInput
		{id}
		{name}
		type="number"
		inputmode="numeric"
		size="sm"
		labelText={label}
		{hideLabel}
		min={least}
		max={most}
		placeholder={empty}
		value={shown}
		invalid={typed !== undefined && !isRight(typed)}
		invalidText="{least} to {most}"
		on:input={(event) => taken(asNumber(event.detail), false)}
		on:change={(event) => taken(asNumber(event.detail), true)}
		on:blur={() => {
			// an emptied field returns to the accepted value; a wrong number stays, with the allowed range
			if (typed === null || (typed !== undefined && isRight(typed))) typed = undefined;
		}}
	/>
</div>

<style>
	.number {
		display: block;
		min-width: 0;
	}
	.number :global(.bx--text-input) {
		min-width: 3.5rem;
		padding: 0 0.5rem;
		text-align: right;
	}
	.narrow :global(.bx--text-input) {
		width: 3.8rem;
	}
	.number :global(.bx--text-input__invalid-icon) {
		display: none;
	}
	.number :global(.bx--form-requirement) {
		margin: 0.1rem 0 0;
		white-space: nowrap;
	}
</style>
