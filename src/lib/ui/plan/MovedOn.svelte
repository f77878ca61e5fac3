<script lang="ts">
	import Fold from '$lib/ui/fields/Fold.svelte';
	import {
		Button,
		Table,
		TableBody,
		TableCell,
		TableHead,
		TableHeader,
		TableRow
	} from 'carbon-components-svelte';
	import type { OutdatedMovement } from '$lib/core/movement';

	/** Movements that have changed since the plan was made: it keeps what it was made with until told otherwise. */
	interface Props {
		moved: OutdatedMovement[];
		ontake: (moved: OutdatedMovement) => void;
	}
	let { moved, ontake }: Props = $props();
</script>

<section class="sheet" aria-labelledby="moved-title">
	<h2 id="moved-title">Some movements in this class have been updated</h2>
	<p class="quiet">This class keeps each movement as it was when you planned it.</p>
	<ul>
		{#each moved as movement (movement.slug)}
			<li>
				<Fold title="{movement.english} {movement.now ? '' : 'is not in your catalogue'}">
					{#if movement.differences.length}
						<Table size="compact">
							<TableHead
								><TableRow
									><TableHeader>What</TableHeader><TableHeader>In this class</TableHeader><TableHeader
										>Today</TableHeader
									></TableRow
								></TableHead
							>
							<TableBody>
								{#each movement.differences as d, index (index)}
									<TableRow
										><TableHeader scope="row">{d.field}</TableHeader><TableCell>{d.before}</TableCell
										><TableCell>{d.after}</TableCell></TableRow
									>
								{/each}
							</TableBody>
						</Table>
					{/if}
				</Fold>
				{#if movement.now}
					<Button kind="tertiary" size="small" on:click={() => ontake(movement)}>
						Use today’s {movement.english}
					</Button>
				{/if}
			</li>
		{/each}
	</ul>
</section>

<style>
	section {
		margin-bottom: 1rem;
		border-left: 4px solid var(--note);
	}
	ul {
		list-style: none;
		margin: 0.4rem 0 0;
		padding: 0;
		display: grid;
		gap: 0.3rem;
	}
	li {
		display: flex;
		gap: 1rem;
		align-items: start;
		justify-content: space-between;
	}
</style>
