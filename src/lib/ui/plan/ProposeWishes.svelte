<script lang="ts">
	import { type WishFields, furtherWishes } from '$lib/client/plan/wishes';
	import { TISSUES } from '$lib/core/anatomy';
	import { POSITION_NAME, POSITIONS, type Movement } from '$lib/core/movement';
	import { SECTION_NAME, type Section } from '$lib/core/plan';
	import { WEIGHT_STEPS, type Weights } from '$lib/core/propose';
	import {
		Accordion,
		AccordionItem,
		Checkbox,
		ComboBox,
		FormGroup,
		NumberInput,
		Select,
		SelectItem
	} from 'carbon-components-svelte';
	import { untrack } from 'svelte';

	/** Wishes for a proposal: three in sight, the others folded away. */
	interface Props {
		fields: WishFields;
		movements: readonly Movement[];
		/** Parts that hold something, where there is a class already. */
		filled: readonly Section[];
		/** Whether the group had a class before this one. */
		hasLast: boolean;
	}
	let { fields = $bindable(), movements, filled, hasLast }: Props = $props();
	const id = $props.id();

	const items = $derived(movements.map(({ slug, english }) => ({ id: slug, text: english })));
	const further = $derived(furtherWishes(fields));
	// wishes from before are in sight when the panel opens again
	const open = untrack(() => furtherWishes(fields) > 0);

	const holds = (item: { text: string }, value: string) =>
		item.text.toLowerCase().includes(value.trim().toLowerCase());
	const LIKENESS_WORDS: [share: number, words: string][] = [
		[0, 'no preference'],
		[0.5, 'repeat half of it'],
		[0.7, 'repeat most of it'],
		[0.9, 'repeat nearly all of it']
	];
	const WEIGHTS: [keyof Weights, string][] = [
		['balance', 'Balance of the directions'],
		['flow', 'Few changes'],
		['variety', 'Variety']
	];
	const NAMED: [key: 'toward' | 'must' | 'never', label: string, nothing: string][] = [
		['toward', 'Leading up to', 'no goal'],
		['must', 'With', 'no wish'],
		['never', 'Not with', 'nothing excluded']
	];
</script>

<div class="wishes">
	{#if filled.length}
		<Select id="{id}-renew" size="sm" labelText="What is there" bind:selected={fields.renew}>
			<SelectItem value="nothing" text="stays, and the rest is filled in" />
			<SelectItem value="everything" text="is replaced by another class" />
			{#each filled as section (section.id)}
				<SelectItem value={section.kind} text="stays, but {SECTION_NAME[section.kind]} is replaced" />
			{/each}
		</Select>
	{/if}
	{#each NAMED as [key, labelText, placeholder] (key)}
		<ComboBox
			id="{id}-{key}"
			size="sm"
			{labelText}
			{placeholder}
			{items}
			shouldFilterItem={holds}
			selectedId={fields[key] || undefined}
			on:select={({ detail }) => (fields[key] = detail.selectedId)}
			on:clear={() => (fields[key] = '')}
		/>
	{/each}
</div>
<Accordion size="sm">
	<AccordionItem {open} title={further ? `More wishes (${further})` : 'More wishes'}>
		<div class="wishes">
			{#if hasLast}
				<Select
					id="{id}-like"
					size="sm"
					labelText="The last class of the group"
					selected={fields.likeShare}
					on:change={({ currentTarget }) =>
						(fields.likeShare = Number((currentTarget as HTMLSelectElement).value))}
				>
					{#each LIKENESS_WORDS as [share, text] (share)}<SelectItem value={share} {text} />{/each}
				</Select>
			{/if}
			<NumberInput
				id="{id}-new"
				size="sm"
				labelText="New movements, at most"
				placeholder="any"
				min={0}
				max={30}
				allowEmpty
				hideSteppers
				bind:value={fields.mostNew}
			/>
			{#each WEIGHTS as [weight, labelText] (weight)}
				<Select id="{id}-{weight}" size="sm" {labelText} bind:selected={fields.weights[weight]}>
					{#each WEIGHT_STEPS as { value, words } (value)}<SelectItem {value} text={words} />{/each}
				</Select>
			{/each}
		</div>
		<FormGroup legendText="Held for at least a minute on each leg">
			<div class="checks">
				{#each TISSUES as tissue (tissue)}
					<Checkbox id="{id}-{tissue}" value={tissue} labelText={tissue} bind:group={fields.lengthen} />
				{/each}
			</div>
		</FormGroup>
		<FormGroup legendText="Without">
			<div class="checks">
				{#each POSITIONS as position (position)}
					<Checkbox
						id="{id}-{position}"
						value={position}
						labelText={POSITION_NAME[position]}
						bind:group={fields.without}
					/>
				{/each}
			</div>
		</FormGroup>
	</AccordionItem>
</Accordion>

<style>
	.wishes {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(13rem, 100%), 1fr));
		gap: 0.6rem 1rem;
		margin: 0.6rem 0;
	}
	.checks {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
		gap: 0 1rem;
	}
	.checks :global(.bx--checkbox-wrapper:first-of-type) {
		margin-top: 0;
	}
</style>
