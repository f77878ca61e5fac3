<script lang="ts">
	import type { ShownProposal } from '$lib/client/plan/proposals.svelte';
	import { Button } from 'carbon-components-svelte';
	import MiniScore from '../chart/MiniScore.svelte';
	import Ring from '../chart/Ring.svelte';

	/** Proposed classes side by side: what each is about and its shape first, then how they compare, then all of it. */
	interface Props {
		proposed: readonly ShownProposal[];
		ontake: (proposal: ShownProposal) => void;
	}
	let { proposed, ontake }: Props = $props();

	let open = $state<number | null>(null);
</script>

<div class="cards">
	{#each proposed as proposal (proposal.number)}
		{@const { card, number, done } = proposal}
		<article aria-label="Proposal {number + 1}">
			<h4 class="about">{card.about}</h4>
			<MiniScore mini={card.mini} />
			<header>
				<Ring sectors={card.ring} size={72} label="Balance of proposal {number + 1}" />
				<div>
					<p class="total">{card.total}</p>
					{#if !done}<p class="quiet">so far</p>{/if}
				</div>
			</header>
			<Button size="small" kind="tertiary" on:click={() => ontake(proposal)}>Take this one</Button>
			{#if card.story.length}
				<ul class="story">
					{#each card.story as line, index (index)}<li>{line}</li>{/each}
				</ul>
			{/if}
			<dl>
				{#each [...card.figures, { label: 'in no other of these', value: proposal.own }] as { label, value }, index (index)}
					<div>
						<dt>{label}</dt>
						<dd>{value}</dd>
					</div>
				{/each}
			</dl>
			<Button
				size="small"
				kind="ghost"
				aria-expanded={open === number}
				on:click={() => (open = open === number ? null : number)}>Why these?</Button
			>
			{#each card.sections as section, index (index)}
				<h5>{section.name}</h5>
				<ul>
					{#each section.items as item (item.id)}
						<li>
							{item.name}
							{#if open === number}
								<span class="quiet">{item.because}</span>
							{/if}
						</li>
					{/each}
				</ul>
			{/each}
			{#if open === number && card.costs.length}
				<h5>Points of its parts</h5>
				<ul>
					{#each card.costs as { label, points }, index (index)}<li>{points} {label}</li>{/each}
				</ul>
			{/if}
		</article>
	{/each}
</div>

<style>
	.cards {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(14rem, 100%), 1fr));
		gap: 1rem;
		margin-top: 0.75rem;
	}
	article {
		border-top: 2px solid var(--line);
		padding-top: 0.6rem;
		font-size: var(--text-s);
	}
	.about {
		min-height: 2.6em;
		font-weight: 650;
		margin: 0 0 0.4rem;
		font-size: var(--text-m);
		line-height: 1.3;
	}
	header {
		display: flex;
		gap: 0.75rem;
		align-items: center;
		margin: 0.4rem 0;
	}
	.total {
		font-size: var(--text-xl);
		font-weight: 650;
	}
	dl {
		margin: 0.5rem 0;
	}
	dl div {
		display: flex;
		justify-content: space-between;
	}
	dd {
		margin: 0;
		font-weight: 600;
	}
	h5 {
		margin: 0.5rem 0 0.1rem;
		font-size: var(--text-s);
		color: var(--accent);
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	.story {
		display: grid;
		gap: 0.35rem;
		margin-top: 0.6rem;
	}
	li .quiet {
		display: block;
		margin-bottom: 0.3rem;
	}
</style>
