<script lang="ts">
	import type { LadderLines } from '$lib/core/view-models';

	/** Each ladder as a stair over the classes: a step stands as long as its rung is given, and says what it asks for. */
	interface Props {
		ladders: LadderLines;
	}
	let { ladders }: Props = $props();
	const { classes, lines } = $derived(ladders);
</script>

<section class="sheet" aria-labelledby="ladders-title">
	<h2 id="ladders-title">Ladders</h2>
	{#each lines as { short, name, goal, steps, rungs }, at (at)}
		<div class="ladder">
			<h3 title={name}>{short} <span class="quiet">{goal}</span></h3>
			<ol style:--classes={classes.length} style:--rungs={rungs.length}>
				{#each steps as { rung, from, to, days, words }, index (index)}
					<li style:grid-column="{from + 1} / {to + 2}" style:grid-row={rungs.length - rung + 1}>
						{words} <span class="days">{days}</span>
					</li>
				{/each}
			</ol>
		</div>
	{/each}
	<ol class="classes" aria-hidden="true" style:--classes={classes.length}>
		{#each classes as day, index (index)}<li>{day}</li>{/each}
	</ol>
</section>

<style>
	section {
		display: grid;
		gap: 0.75rem;
	}
	.ladder,
	.classes {
		display: grid;
		grid-template-columns: 8.75rem minmax(0, 1fr);
		padding-right: 3rem;
	}
	h3 {
		font-size: var(--text-s);
		padding-right: 1rem;
		align-self: end;
	}
	h3 span {
		display: block;
		font-weight: 400;
	}
	ol {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		grid-template-columns: repeat(var(--classes), minmax(0, 1fr));
		align-items: end;
		font-size: var(--text-xs);
		line-height: 1.3;
	}
	.ladder li {
		border-bottom: 4px solid var(--accent);
		border-left: 1px solid var(--line-strong);
		padding: 0.15rem 0.3rem;
		overflow-wrap: anywhere;
	}
	.days {
		display: none;
	}
	.classes {
		grid-template-columns: repeat(var(--classes), minmax(0, 1fr));
		padding-left: 8.75rem;
		color: var(--ink-soft);
		border-top: 1px solid var(--line);
	}
	.classes li {
		text-align: center;
		padding-top: 0.2rem;
	}
	/* a phone has no room for days side by side: each step says its own */
	@media (max-width: 48rem) {
		.ladder {
			grid-template-columns: minmax(0, 1fr);
			padding-right: 0;
		}
		.ladder ol {
			display: flex;
			flex-direction: column-reverse;
			align-items: stretch;
		}
		.days {
			display: block;
			color: var(--ink-soft);
		}
		.classes {
			display: none;
		}
	}
</style>
