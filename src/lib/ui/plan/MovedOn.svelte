<script lang="ts">
	import type { OutdatedMovement } from '$lib/client/plan/plan-document.svelte';

	/** Movements that have changed since the plan was made: it keeps what it was made with until told otherwise. */
	interface Props {
		moved: OutdatedMovement[];
		ontake: (moved: OutdatedMovement) => void;
	}
	let { moved, ontake }: Props = $props();
</script>

<section class="sheet" aria-labelledby="moved-title">
	<h2 id="moved-title">The catalogue has moved on</h2>
	<p class="quiet">This class keeps each movement as it was when you planned it.</p>
	<ul>
		{#each moved as movement (movement.slug)}
			<li>
				<details>
					<summary><b>{movement.english}</b> {movement.now ? '' : 'is not in your catalogue'}</summary>
					{#if movement.differences.length}
						<table>
							<thead
								><tr><th scope="col">What</th><th scope="col">In this class</th><th scope="col">Today</th></tr
								></thead
							>
							<tbody>
								{#each movement.differences as d, index (index)}
									<tr><th scope="row">{d.field}</th><td>{d.before}</td><td>{d.after}</td></tr>
								{/each}
							</tbody>
						</table>
					{/if}
				</details>
				{#if movement.now}
					<button type="button" class="pill" onclick={() => ontake(movement)}>
						Take today’s {movement.english}
					</button>
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
	table {
		font-size: var(--text-s);
		border-collapse: collapse;
	}
	th,
	td {
		text-align: left;
		padding: 0.15rem 0.75rem 0.15rem 0;
		vertical-align: top;
	}
</style>
