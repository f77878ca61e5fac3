<script lang="ts" generics="T extends string | number">
	import { Select, SelectItem, SelectItemGroup } from 'carbon-components-svelte';
	import { tick } from 'svelte';

	type Option = T | { value: T; text: string };
	/** One of a few: each with the words that stand for it. */
	interface Props {
		label: string;
		/** Whether the label is for screen readers only. */
		hideLabel?: boolean;
		options: readonly Option[];
		/** More of them, under a heading each. */
		groups?: readonly { label: string; options: readonly Option[] }[];
		value?: T;
		/** For forms that are sent. */
		name?: string;
		/** Without a frame, in a line of text. */
		plain?: boolean;
		onpick?: (value: T) => void;
	}
	let {
		label,
		hideLabel = false,
		options,
		groups = [],
		value,
		name,
		plain = false,
		onpick
	}: Props = $props();

	const id = $props.id();
	const named = (list: readonly Option[]) =>
		list.map((o) => (typeof o === 'object' ? o : { value: o, text: String(o) }));
	const all = $derived(named([...options, ...groups.flatMap((group) => group.options)]));
	async function picked(event: Event) {
		const select = event.target as HTMLSelectElement;
		if (!onpick) return;
		onpick(all[select.selectedIndex]!.value);
		// a choice that was refused, or that is asked about first, returns to the accepted one
		await tick();
		const holds = all.findIndex((option) => option.value === value);
		if (holds >= 0 && select.isConnected) select.selectedIndex = holds;
	}
</script>

<div class="pick" class:plain>
	<Select {id} {name} size="sm" labelText={label} {hideLabel} selected={value} on:change={picked}>
		{#each named(options) as { value, text }, index (index)}<SelectItem {value} {text} />{/each}
		{#each groups as group, at (at)}
			<SelectItemGroup label={group.label}>
				{#each named(group.options) as { value, text }, index (index)}<SelectItem {value} {text} />{/each}
			</SelectItemGroup>
		{/each}
	</Select>
</div>

<style>
	.pick {
		display: block;
		min-width: 0;
	}
	.plain {
		display: inline-block;
	}
	.plain :global(.bx--select-input) {
		background: none;
		border-color: transparent;
		color: var(--ink-soft);
		font-size: var(--text-s);
		field-sizing: content;
		height: 1.6rem;
		padding: 0 1.4rem 0 0.1rem;
	}
	.plain :global(.bx--select-input:hover) {
		border-color: var(--line-strong);
	}
	.plain :global(.bx--select__arrow) {
		right: 0.2rem;
	}
</style>
