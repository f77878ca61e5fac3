<script lang="ts">
	import {
		DIRECTION_NAME,
		DIRECTION_PLAIN,
		DIRECTION_SIGN,
		DIRECTIONS,
		type Direction
	} from '$lib/core/anatomy';
	import { formatDuration } from '$lib/core/clock';
	import type { RowSegment, RingSector } from '$lib/core/view-models';
	import { shareText, type Balance, type Verdict } from '$lib/core/orbit';
	import {
		Table,
		TableBody,
		TableCell,
		TableHead,
		TableHeader,
		TableRow,
		TextInput
	} from 'carbon-components-svelte';
	import Ring from '../chart/Ring.svelte';
	import Why from '../chart/Why.svelte';

	/** The balance of the class: the ring, and the same in figures, each open to its parts. */
	interface Props {
		ring: RingSector[];
		balance: Balance;
		/** Which items make up the time in a direction. */
		partsOf: (direction: Direction) => RowSegment[];
		strengthParts: () => RowSegment[];
		/** How it stands on top of the group's last classes, in words; null where there were none. */
		together: string | null;
		/** The one thing that the class is about; empty where it is about more. */
		theme: string;
		ontheme: (theme: string) => void;
	}
	let { ring, balance, together, partsOf, strengthParts, theme, ontheme }: Props = $props();
	const id = $props.id();

	function standing(verdict: Verdict): string {
		if (verdict.standing === 'within') return 'within';
		if (verdict.offBySeconds === 0) return 'nothing yet';
		return `${verdict.standing} by ${formatDuration(Math.abs(verdict.offBySeconds))}`;
	}
</script>

<section aria-labelledby="orbit-title">
	<h2 id="orbit-title">Orbit</h2>
	<div class="ring">
		<Ring sectors={ring} size={196} signs label="Balance of both hips; the table has the figures" />
	</div>
	<Table size="compact">
		<TableHead>
			<TableRow
				><TableHeader>Direction</TableHeader><TableHeader>Share</TableHeader><TableHeader>Target</TableHeader
				><TableHeader>Verdict</TableHeader></TableRow
			>
		</TableHead>
		<TableBody>
			{#each DIRECTIONS as direction (direction)}
				{@const verdict = balance.directions[direction]}
				<TableRow>
					<TableHeader scope="row" title={DIRECTION_PLAIN[direction]}>
						<span class="sign" style="background: var(--{direction}); color: var(--on-{direction})"
							>{DIRECTION_SIGN[direction]}</span
						>
						{DIRECTION_NAME[direction].replace('rotation', 'rot.')}
					</TableHeader>
					<TableCell>
						<Why label={DIRECTION_NAME[direction]} parts={() => partsOf(direction)} align="end"
							>{shareText(verdict)} %</Why
						>
					</TableCell>
					<TableCell class="quiet">{verdict.band.minPercent}–{verdict.band.maxPercent}</TableCell>
					<TableCell class={verdict.standing}>{standing(verdict)}</TableCell>
				</TableRow>
			{/each}
			<TableRow class="strength">
				<TableHeader scope="row" title="Work in which the hip or the trunk strengthens"
					>Share of strength work</TableHeader
				>
				<TableCell>
					<Why label="Strength" parts={strengthParts} align="end">{shareText(balance.strength)} %</Why>
				</TableCell>
				<TableCell class="quiet"
					>{balance.strength.band.minPercent}–{balance.strength.band.maxPercent}</TableCell
				>
				<TableCell class={balance.strength.standing}>{standing(balance.strength)}</TableCell>
			</TableRow>
		</TableBody>
	</Table>
	{#if together}<p class="together">{together}</p>{/if}
	<p class="quiet">
		Outer ring: range, dashed where the target lies. Inner disc: strength. Left leg left, right leg right.
	</p>
	<TextInput
		id="{id}-theme"
		size="sm"
		labelText="Theme (optional)"
		placeholder="then no direction is missed"
		maxlength={200}
		value={theme}
		on:change={(event) => ontheme(String(event.detail ?? '').trim())}
	/>
</section>

<style>
	section {
		display: grid;
		gap: 0.6rem;
	}
	.ring {
		display: grid;
		place-items: center;
	}
	.sign {
		display: inline-block;
		min-width: 1.65rem;
		padding: 0.05rem 0.2rem;
		margin-right: 0.3rem;
		border-radius: 4px;
		font-size: var(--text-xs);
		font-weight: 700;
		text-align: center;
	}
	.together {
		font-size: var(--text-s);
	}
</style>
