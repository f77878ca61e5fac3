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
		/** What an empty field means; without it a field may not be empty. */
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
	/** What holds; in a form that is sent nobody else keeps it. */
	let kept = $derived(value);
	/** What is typed, until it is taken; a wrong one stays, with what is allowed. Undefined where it is what holds. */
	let typed = $derived.by((): number | null | undefined => {
		// what comes from elsewhere, as by undo, takes its place
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
			// what was emptied goes back to what holds; a wrong number stays, with what is allowed
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
