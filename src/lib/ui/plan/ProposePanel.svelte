<script lang="ts">
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import type { Proposals } from '$lib/client/plan/proposals.svelte';
	import { TISSUES, type Tissue } from '$lib/core/anatomy';
	import { POSITION_NAME, POSITIONS, type Position } from '$lib/core/movement';
	import { itemsOf, SECTION_NAME, type Renewal } from '$lib/core/plan';
	import { WEIGHT_STEPS, type Weights, type Wishes } from '$lib/core/propose';
	import Ring from '../chart/Ring.svelte';

	/** Asks for a class and shows what is proposed; what is in the plan already is kept. */
	interface Props {
		doc: PlanDocument;
		proposals: Proposals;
		onleave: () => void;
	}
	let { doc, proposals, onleave }: Props = $props();

	let toward = $state('');
	let must = $state('');
	let never = $state('');
	let lengthen = $state<Tissue[]>([]);
	let likeShare = $state(0);
	let mostNew = $state<number | null>(null);
	let without = $state<Position[]>([]);
	let weights = $state<Weights>({ balance: 1, flow: 1, variety: 1 });
	let seed = $state(1);
	let renew = $state<Renewal>('nothing');
	let open = $state<number | null>(null);

	const kept = $derived(itemsOf(doc.plan).length);
	const movements = $derived([...doc.catalogue.offered].sort((a, b) => a.english.localeCompare(b.english)));
	const wishes = $derived<Wishes>({
		weights,
		without,
		...(toward ? { toward } : {}),
		...(must ? { must: [must] } : {}),
		...(never ? { never: [never] } : {}),
		...(lengthen.length ? { lengthen } : {}),
		...(likeShare ? { like: { movements: doc.setting.lastMovements, share: likeShare } } : {}),
		...(mostNew === null ? {} : { mostNew })
	});
	const proposed = $derived(proposals.found);

	function ask(next: number) {
		seed = next;
		open = null;
		void proposals.propose($state.snapshot(wishes), seed, renew);
	}
	const LIKE: [share: number, words: string][] = [
		[0, 'as it comes'],
		[0.5, 'half of it again'],
		[0.7, 'most of it again'],
		[0.9, 'nearly all of it again']
	];
	const WEIGHTS: [keyof Weights, string][] = [
		['balance', 'Balance of the directions'],
		['flow', 'Few changes'],
		['variety', 'Variety']
	];
</script>

<section class="propose" aria-labelledby="propose-title">
	<header>
		<h3 id="propose-title">{kept ? `Finish this class around its ${kept} items` : 'Propose a class'}</h3>
		<button type="button" class="pill" onclick={onleave}>Close</button>
	</header>
	<div class="wishes">
		{#if kept}
			<label>
				What is there
				<select bind:value={renew}>
					<option value="nothing">stays, the rest is filled</option>
					<option value="everything">makes room for another class</option>
					{#each doc.plan.sections.filter((s) => s.blocks.length) as { id, kind } (id)}
						<option value={kind}>stays, but {SECTION_NAME[kind]} is made anew</option>
					{/each}
				</select>
			</label>
		{/if}
		<label>
			Leading up to
			<!-- svelte-ignore a11y_autofocus -->
			<select bind:value={toward} autofocus>
				<option value="">nothing in particular</option>
				{#each movements as { slug, english } (slug)}<option value={slug}>{english}</option>{/each}
			</select>
		</label>
		<label>
			With
			<select bind:value={must}>
				<option value="">nothing in particular</option>
				{#each movements as { slug, english } (slug)}<option value={slug}>{english}</option>{/each}
			</select>
		</label>
		<label>
			Not with
			<select bind:value={never}>
				<option value="">anything may come</option>
				{#each movements as { slug, english } (slug)}<option value={slug}>{english}</option>{/each}
			</select>
		</label>
		{#if doc.setting.lastMovements.length}
			<label>
				The last class of the group
				<select bind:value={likeShare}>
					{#each LIKE as [share, words] (share)}<option value={share}>{words}</option>{/each}
				</select>
			</label>
		{/if}
		<label>
			New to them, at most
			<input type="number" min="0" max="30" placeholder="any" bind:value={mostNew} />
		</label>
		{#each WEIGHTS as [weight, label] (weight)}
			<label>
				{label}
				<select bind:value={weights[weight]}>
					{#each WEIGHT_STEPS as { value, words } (value)}<option {value}>{words}</option>{/each}
				</select>
			</label>
		{/each}
		<fieldset>
			<legend>Stretched for at least a minute on each leg</legend>
			{#each TISSUES as tissue (tissue)}
				<label class="check">
					<input type="checkbox" value={tissue} bind:group={lengthen} />{tissue}
				</label>
			{/each}
		</fieldset>
		<fieldset>
			<legend>Without</legend>
			{#each POSITIONS as position (position)}
				<label class="check">
					<input type="checkbox" value={position} bind:group={without} />{POSITION_NAME[position]}
				</label>
			{/each}
		</fieldset>
	</div>
	<p class="act">
		<button type="button" class="pill strong" disabled={proposals.work !== null} onclick={() => ask(seed)}
			>Propose three</button
		>
		{#if proposed.length && !proposals.work}
			<button type="button" class="pill" onclick={() => ask(seed + 1)}>Three others</button>
		{/if}
		{#if proposals.work}
			<span role="status">Looking, {proposed.filter((p) => p.done).length} of 3 ready …</span>
			<button type="button" class="pill" onclick={() => proposals.stop()}>Stop</button>
		{/if}
	</p>
	{#if proposals.conflict}
		<p class="conflict" role="alert">{proposals.conflict.message}.</p>
	{/if}
	{#if proposed.length}
		<div class="cards">
			{#each proposed as proposal (proposal.number)}
				{@const { card, number, done } = proposal}
				<article aria-label="Proposal {number + 1}">
					<header>
						<Ring sectors={card.ring} size={92} label="Balance of proposal {number + 1}" />
						<div>
							<p class="total">{card.total}</p>
							{#if !done}<p class="quiet">so far</p>{/if}
							<button
								type="button"
								class="pill"
								onclick={() => {
									proposals.take(proposal);
									onleave();
								}}>Take this one</button
							>
						</div>
					</header>
					<dl>
						{#each [...card.figures, { label: 'in no other of these', value: proposal.own }] as { label, value }, index (index)}
							<div>
								<dt>{label}</dt>
								<dd>{value}</dd>
							</div>
						{/each}
					</dl>
					{#if card.story.length}
						<ul class="story">
							{#each card.story as line, index (index)}<li>{line}</li>{/each}
						</ul>
					{/if}
					<button
						type="button"
						class="why"
						aria-expanded={open === number}
						onclick={() => (open = open === number ? null : number)}>Why these?</button
					>
					{#each card.sections as section, index (index)}
						<h4>{section.name}</h4>
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
						<h4>Points of its parts</h4>
						<ul>
							{#each card.costs as { label, points }, index (index)}<li>{points} {label}</li>{/each}
						</ul>
					{/if}
				</article>
			{/each}
		</div>
	{/if}
</section>

<style>
	.propose {
		border: 1px solid var(--accent);
		border-radius: 10px;
		padding: 0.75rem;
		margin: 0 0.25rem 0.75rem;
	}
	header,
	.act {
		display: flex;
		flex-wrap: wrap;
		gap: 0.75rem;
		align-items: center;
	}
	header > h3 {
		flex: 1;
	}
	.wishes {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(13rem, 100%), 1fr));
		gap: 0.6rem 1rem;
		margin: 0.6rem 0;
		font-size: var(--text-s);
	}
	.wishes > label {
		display: grid;
		gap: 0.2rem;
	}
	.wishes select,
	.wishes input[type='number'] {
		height: 2rem;
		width: 100%;
		border: 1px solid var(--line-strong);
		border-radius: 6px;
		background: var(--sheet);
		color: var(--ink);
		padding: 0 0.3rem;
	}
	fieldset {
		grid-column: 1 / -1;
		border: 0;
		margin: 0;
		padding: 0;
		display: flex;
		flex-wrap: wrap;
		gap: 0.3rem 0.9rem;
	}
	.check {
		display: flex;
		gap: 0.3rem;
		align-items: center;
		min-height: 24px;
	}
	.strong {
		background: var(--accent);
		color: #fff;
	}
	.conflict {
		margin-top: 0.6rem;
		font-weight: 600;
	}
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
	h4 {
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
	}
	li .quiet {
		display: block;
		margin-bottom: 0.3rem;
	}
	.why {
		border: 0;
		background: none;
		padding: 0;
		color: var(--accent);
		text-decoration: underline;
		cursor: pointer;
		min-height: 24px;
	}
</style>
