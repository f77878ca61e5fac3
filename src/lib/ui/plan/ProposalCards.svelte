<script lang="ts">
	import type { ShownProposal } from '$lib/client/plan/proposals.svelte';
	import { Button } from 'carbon-components-svelte';
	import MiniScore from '../chart/MiniScore.svelte';
	import Ring from '../chart/Ring.svelte';

	/** Proposed classes side by side: what each is about and its shape first, then how they compare, then all of it. */
	interface Props {
		proposed: readonly ShownProposal[];
		/** Where one of them can be taken from its card. */
		ontake?: (proposal: ShownProposal) => void;
		/** Of their headings. */
		level?: 3 | 4;
	}
	let { proposed, ontake, level = 4 }: Props = $props();

	const figuresOf = ({ card, own }: ShownProposal) =>
		own ? [...card.figures, { label: 'only in this one', value: own }] : card.figures;
	let open = $state<number | null>(null);
</script>

<div class="cards" class:alone={proposed.length === 1 && !ontake}>
	{#each proposed as proposal (proposal.number)}
		{@const { card, number, done } = proposal}
		<article aria-label="Proposal {number + 1}">
			<div>
				<svelte:element this={`h${level}`} class="about">{card.about}</svelte:element>
				<MiniScore mini={card.mini} />
				<header>
					<Ring sectors={card.ring} size={72} label="Balance of proposal {number + 1}" />
					<div>
						<p class="total">{card.total}</p>
						{#if !done}<p class="quiet">so far</p>{/if}
					</div>
				</header>
				{#if ontake}
					<Button size="small" kind="tertiary" on:click={() => ontake(proposal)}>Take this one</Button>
				{/if}
				{#if card.story.length}
					<ul class="story">
						{#each card.story as line, index (index)}<li>{line}</li>{/each}
					</ul>
				{/if}
				{#if card.lived.length}
					<svelte:element this={`h${level + 1}`} class="part">As each person does it</svelte:element>
					<ul class="story">
						{#each card.lived as line, index (index)}<li>{line}</li>{/each}
					</ul>
				{/if}
				<dl>
					{#each figuresOf(proposal) as { label, value }, index (index)}
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
			</div>
			<div>
				{#each card.sections as section, index (index)}
					<svelte:element this={`h${level + 1}`} class="part">{section.name}</svelte:element>
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
					<svelte:element this={`h${level + 1}`} class="part">Points of its parts</svelte:element>
					<ul>
						{#each card.costs as { label, points }, index (index)}<li>{points} {label}</li>{/each}
					</ul>
				{/if}
			</div>
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
	/* one by itself has room for its list beside it */
	.alone article {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(20rem, 100%), 1fr));
		gap: 0 3rem;
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
	.part {
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
