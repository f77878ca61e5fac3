<script lang="ts">
	import PressCard from '$lib/ui/primitives/PressCard.svelte';
	import type { WeekCard } from '$lib/core/view-models';
	import MiniScore from '../chart/MiniScore.svelte';
	import Ring from '../chart/Ring.svelte';

	/**
	 * The weeks side by side. A class is selected with a press or the arrow keys and dragged to another day; the panel of
	 * the selected class moves it without dragging.
	 */
	interface Props {
		weeks: WeekCard[];
		selected: string | null;
		onselect: (classId: string) => void;
		onmove: (classId: string, on: string) => void;
	}
	let { weeks, selected, onselect, onmove }: Props = $props();

	let over = $state<string | null>(null);
	let dragged = $state<string | null>(null);

	function drop(event: DragEvent, on: string) {
		event.preventDefault();
		if (dragged) onmove(dragged, on);
		dragged = null;
		over = null;
	}
</script>

<ol class="weeks">
	{#each weeks as week (week.number)}
		<li class="week sheet" class:easier={week.easier} aria-label="Week {week.number}">
			<header>
				<h2>Week {week.number} <span class="quiet">{week.from}</span></h2>
				{#if !week.empty}<Ring sectors={week.ring} size={30} label="Balance of week {week.number}" />{/if}
			</header>
			{#if week.theme}<p class="theme">{week.theme}</p>{/if}
			<p class="quiet">
				{[week.easier ? 'easier' : '', week.retest ? 'test' : '', week.figures].filter(Boolean).join(' · ')}
			</p>
			<ul class="days" aria-label="Days of week {week.number}">
				{#each week.days as day (day.iso)}
					<li
						title={day.name}
						class:has={day.classIds.length > 0}
						class:off={day.skipped || day.missed}
						class:over={over === day.iso}
						data-day={day.iso}
						ondragover={(event) => {
							event.preventDefault();
							over = day.iso;
						}}
						ondragleave={() => (over = null)}
						ondrop={(event) => drop(event, day.iso)}
					>
						<span aria-hidden="true">{day.letter}</span>
						<span class="visually-hidden">
							{day.name}{day.classIds.length ? ', class' : ''}{day.missed ? ', cancelled' : ''}{day.skipped
								? ', no class'
								: ''}
						</span>
					</li>
				{/each}
			</ul>
			{#each week.classes as c (c.id)}
				<PressCard
					id="class-{c.id}"
					pressed={selected === c.id}
					state={c.state}
					dragText={c.state === 'taught' ? undefined : c.title}
					ondrag={(isUnderWay) => (dragged = isUnderWay ? c.id : null)}
					onpress={() => onselect(c.id)}
				>
					<span class="when"><b>{c.day}</b> {c.startsAt}</span>
					{#if c.planned}
						<span class="shape">
							<Ring sectors={c.ring} size={34} />
							{#if c.mini}<MiniScore mini={c.mini} />{/if}
						</span>
					{/if}
					{#each c.rungs.filter(({ again }) => !again) as rung, index (index)}
						<span class="rung"><b>{rung.isNew ? 'new' : 'further'}:</b> {rung.words}</span>
					{/each}
					{#if c.goesOn}<span class="rung quiet">goes on: {c.goesOn}</span>{/if}
					<span class="state {c.state}">
						<svg viewBox="0 0 12 12" width="11" height="11" aria-hidden="true">
							{#if c.state === 'taught'}<path
									d="M1.5 6.5 4.7 9.5 10.5 2.5"
									fill="none"
									stroke="currentColor"
									stroke-width="2"
								/>
							{:else if c.state === 'edited'}<path
									d="M2 10 2.6 7.6 8.6 1.6 10.4 3.4 4.4 9.4Z"
									fill="currentColor"
								/>
							{:else if c.state === 'outdated'}<path d="M6 1 11.5 11H.5Z" fill="currentColor" />
							{:else}<circle
									cx="6"
									cy="6"
									r="4"
									fill={c.state === 'proposed' ? 'currentColor' : 'none'}
									stroke="currentColor"
									stroke-width="1.6"
								/>{/if}
						</svg>
						{c.stateWords}
					</span>
				</PressCard>
			{:else}
				<p class="quiet">No class</p>
			{/each}
		</li>
	{/each}
</ol>

<style>
	.weeks {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(100%, 12.5rem), 1fr));
		gap: 0.75rem;
	}
	.week {
		padding: 0.6rem 0.7rem;
		display: grid;
		align-content: start;
		gap: 0.35rem;
		min-width: 0;
	}
	.easier {
		border-style: dashed;
		border-color: var(--line-strong);
	}
	header {
		display: flex;
		justify-content: space-between;
		align-items: center;
		min-height: 30px;
	}
	.theme {
		font-size: var(--text-s);
		font-weight: 600;
		overflow-wrap: anywhere;
	}
	.days {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		grid-template-columns: repeat(7, 1fr);
		gap: 2px;
		font-size: var(--text-xs);
		text-align: center;
		color: var(--ink-soft);
	}
	.days li {
		border-bottom: 2px solid var(--line);
		padding: 2px 0;
	}
	.days .has {
		border-color: var(--accent);
		color: var(--ink);
		font-weight: 650;
	}
	.days .off {
		text-decoration: line-through;
	}
	.days .over {
		background: var(--accent-tint);
	}
	.class {
		display: grid;
		gap: 0.3rem;
		text-align: left;
		border: 1px solid var(--line);
		border-radius: var(--radius);
		background: var(--paper);
		padding: 0.45rem 0.55rem;
		color: var(--ink);
		font-size: var(--text-s);
		cursor: pointer;
		min-width: 0;
	}
	.class:hover {
		background: var(--sunk);
	}
	.selected {
		border-color: var(--accent);
		box-shadow: inset 3px 0 0 var(--accent);
	}
	.shape {
		display: grid;
		grid-template-columns: 34px minmax(0, 1fr);
		gap: 0.5rem;
		align-items: center;
	}
	.rung {
		font-size: var(--text-xs);
		line-height: 1.3;
		overflow-wrap: anywhere;
	}
	.state {
		display: inline-flex;
		align-items: center;
		gap: 0.3rem;
		font-size: var(--text-xs);
		font-weight: 600;
		color: var(--ink-soft);
	}
	.taught {
		color: var(--good);
	}
	.outdated {
		color: var(--fix);
	}
	.edited {
		color: var(--accent);
	}
</style>
