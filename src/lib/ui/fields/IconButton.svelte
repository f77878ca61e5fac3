<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { Component } from 'svelte';

	/** A button of one sign, with its name as a tooltip. */
	interface Props {
		label: string;
		icon: Component;
		size?: 'small' | 'field';
		/** Whether it is on, where it is switched on and off. */
		pressed?: boolean;
		/** Whether what it opens is open. */
		expanded?: boolean;
		disabled?: boolean;
		onpress: () => void;
	}
	let { label, icon, size = 'small', pressed, expanded, disabled = false, onpress }: Props = $props();
</script>

<Button
	kind="ghost"
	{size}
	{icon}
	{disabled}
	portalTooltip
	isSelected={pressed ?? false}
	aria-pressed={pressed}
	aria-expanded={expanded}
	iconDescription={label}
	on:click={onpress}
/>
