<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { CautionLine } from '$lib/core/substitution';
	import { dayWithYear } from '$lib/core/calendar';
	import type { Caution } from '$lib/core/movement';

	/** Alternatives at one item for the people with each caution. */
	interface Props {
		lines: CautionLine[];
		onconfirm?: (caution: Caution) => void;
	}
	let { lines, onconfirm }: Props = $props();

	function given(line: CautionLine): string {
		switch (line.kind) {
			case 'in this form':
				return 'fine in this form';
			case 'other form':
				return `the ${line.form} form: ${line.how}`;
			case 'instead':
				return `${line.insteadName}, beside the class${line.how ? `: ${line.how}` : ''}`;
			case 'clinician':
				return 'no suggestion; the treating clinician decides';
		}
	}
</script>

<ul>
	{#each lines as line, index (index)}
		<li>
			<b>{line.caution}</b> <span class="quiet">({line.people})</span>: {given(line)}.
			<span class="quiet">{line.advice}</span>
			{#if line.confirmedOn}
				<span class="kept">Kept on your responsibility, {dayWithYear(line.confirmedOn)}.</span>
			{:else if onconfirm && line.kind !== 'in this form'}
				<Button kind="ghost" size="small" on:click={() => onconfirm(line.caution)}
					>Keep it on my responsibility</Button
				>
			{/if}
		</li>
	{/each}
</ul>

<style>
	ul {
		margin: 0;
		padding: 0;
		list-style: none;
		display: grid;
		gap: 0.15rem;
	}
	.kept {
		font-weight: 600;
	}
</style>
