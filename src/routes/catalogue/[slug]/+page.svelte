<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { invalidateAll } from '$app/navigation';
	import * as api from '$lib/client/api';
	import { DIRECTION_NAME, DIRECTIONS, isSymmetrical, writeHips } from '$lib/core/anatomy';
	import { drawnForms } from '$lib/core/figure';
	import { kitName } from '$lib/core/group';
	import { profileOf } from '$lib/core/substitution';
	import { movementRing } from '$lib/core/view-models';
	import { doseRange, modesOf, POSITION_NAME, writeDose } from '$lib/core/movement';
	import Figure from '$lib/ui/movement/Figure.svelte';
	import Ring from '$lib/ui/chart/Ring.svelte';

	let { data } = $props();
	const m = $derived(data.movement);
	const profile = $derived(profileOf(m));
	let trouble = $state('');

	async function leaveOut(out: boolean) {
		const answer = await api.leaveOut(m.slug, out);
		trouble = answer.ok ? '' : (answer.messages[0] ?? '');
		if (answer.ok) await invalidateAll();
	}
</script>

<svelte:head><title>{m.english} · Humble Orbit</title></svelte:head>

{#snippet named(title: string, slugs: string[])}
	{#if slugs.length}
		<dt>{title}</dt>
		<dd>
			{#each slugs as slug, i (i)}{i ? ', ' : ''}<a href="/catalogue/{slug}">{data.names[slug]}</a>{/each}
		</dd>
	{/if}
{/snippet}

<p><a href="/catalogue">Catalogue</a></p>
<div class="head">
	<div>
		<h1>{m.english}</h1>
		<p class="quiet">
			{[m.sanskrit, POSITION_NAME[m.position], m.modes.join(', ')].filter(Boolean).join(' · ')}
		</p>
		{#if m.aliases.length}<p class="quiet">Also: {m.aliases.join(', ')}</p>{/if}
	</div>
	<p class="acts">
		<Button kind="tertiary" size="small" role="link" href="/catalogue/own/new?from={m.slug}"
			>Copy as my own</Button
		>
		{#if data.own}<Button kind="tertiary" size="small" role="link" href="/catalogue/own/{m.slug}"
				>Change it</Button
			>{/if}
		<Button kind="tertiary" size="small" on:click={() => leaveOut(!data.leftOut)}>
			{data.leftOut ? 'Include again' : 'Exclude from planning'}
		</Button>
	</p>
</div>
<p role="status">
	{trouble}{data.leftOut ? 'Excluded: it is not offered or proposed. Classes that use it keep it.' : ''}
</p>

<div class="cols">
	<section class="sheet pictures" aria-label="Pictures">
		<Figure movement={m} view="side" width={250} height={180} feet label="{m.english} from the side" />
		<Figure movement={m} view="front" width={250} height={190} feet label="{m.english} from the front" />
		<div class="does">
			<Ring sectors={movementRing(m)} size={150} signs label="Directions of {m.english}" />
			<dl>
				<dt>Moves</dt>
				<dd>
					{DIRECTIONS.filter((d) => profile.range[d] > 0)
						.map((d) => DIRECTION_NAME[d])
						.join(', ') || 'stays near the middle'}
				</dd>
				<dt>Lengthens</dt>
				<dd>{[...profile.tissues].join(', ') || 'nothing in particular'}</dd>
				<dt>Works</dt>
				<dd>{[...profile.muscles].join(', ') || 'nothing in particular'}</dd>
				<dt>Angles</dt>
				<dd>
					{#if isSymmetrical(m.action)}{writeHips(m.action.both)}
					{:else}lead {writeHips(m.action.lead)}<br />trail {writeHips(m.action.trail)}{/if}
				</dd>
			</dl>
		</div>
	</section>
	<section class="sheet" aria-labelledby="teach">
		<h2 id="teach">Teaching it</h2>
		<dl>
			<dt>Set up</dt>
			<dd>{m.setUp}</dd>
			{#if m.watch}<dt>Look at</dt>
				<dd>{m.watch}</dd>{/if}
			{#if m.mistakes}<dt>Usual mistakes</dt>
				<dd>{m.mistakes}</dd>{/if}
			{#if m.leave}<dt>Leave</dt>
				<dd>{m.leave}</dd>{/if}
			{#if m.mirrored}<dt>Facing the group</dt>
				<dd>{m.mirrored}</dd>{/if}
			{#if m.felt}<dt>Felt</dt>
				<dd>{m.felt}</dd>{/if}
			{#if m.breath}<dt>Breath</dt>
				<dd>in: {m.breath.in}; out: {m.breath.out}</dd>{/if}
			{#if m.purposes.length}<dt>Done for</dt>
				<dd>{m.purposes.join(', ')}</dd>{/if}
			{#if m.byTurns || m.bothWays}<dt>Sides</dt>
				<dd>
					{[m.byTurns ? 'by turns: left, right, left' : '', m.bothWays ? 'both ways' : '']
						.filter(Boolean)
						.join('; ')}
				</dd>{/if}
			{#if m.sets || m.closingHold}<dt>Usually</dt>
				<dd>
					{[
						m.sets ? `${m.sets.usual} sets, ${m.sets.restSeconds} s between` : '',
						m.closingHold ? 'the last one may be held' : ''
					]
						.filter(Boolean)
						.join('; ')}
				</dd>{/if}
			{#if m.withoutKit}<dt>Without kit</dt>
				<dd>
					{#if 'how' in m.withoutKit}{m.withoutKit.how}
					{:else}<a href="/catalogue/{m.withoutKit.instead}"
							>{data.names[m.withoutKit.instead] ?? m.withoutKit.instead}</a
						>{/if}
				</dd>{/if}
			{@render named('Builds on', m.prerequisites)}
			{@render named('Prepared by', m.preparations)}
			{@render named('Undone by', m.counters)}
			{@render named('Much like', m.kin)}
		</dl>
		<h2>The ladder</h2>
		<ol class="ladder">
			{#each drawnForms(m) as { form, like } (form.id)}
				<li>
					{#if like}<span class="like quiet">drawn like {like.id}</span>
					{:else}<Figure movement={m} {form} width={84} height={58} />{/if}
					<div>
						<p><b>{form.id}</b> {form.how}</p>
						<p class="quiet">
							intensity {form.intensity} of 5{form.props.length
								? `, ${form.props.map((p) => `${p.count} ${kitName(p.kit, p.count)} ${p.place}`).join(', ')}`
								: ''}
						</p>
						{#each modesOf(m, form) as mode, index (index)}
							<p class="quiet">{mode}: {writeDose(doseRange(form, mode))}</p>
						{/each}
					</div>
				</li>
			{/each}
		</ol>
		{#if m.cautions.length}
			<h2>Cautions</h2>
			<ul class="cautions">
				{#each m.cautions as c, index (index)}
					<li>
						<b>{c.caution}</b>: {c.advice}
						{#if c.okIn.length}Fine in the {c.okIn.join(' and ')} form.{/if}
						Instead <a href="/catalogue/{c.instead}">{data.names[c.instead]}</a>.
					</li>
				{/each}
			</ul>
			<p class="quiet">
				After a recent operation or with leg symptoms the treating clinician decides. Pain means stop.
			</p>
		{/if}
	</section>
</div>

<style>
	.head {
		display: flex;
		justify-content: space-between;
		align-items: start;
		gap: 1rem;
		flex-wrap: wrap;
		margin: 0.25rem 0 0.5rem;
	}
	.acts {
		display: flex;
		gap: 0.5rem;
		flex-wrap: wrap;
	}
	.cols {
		display: grid;
		grid-template-columns: 22rem minmax(0, 1fr);
		gap: 1rem;
		align-items: start;
		margin-top: 0.5rem;
	}
	.pictures {
		display: grid;
		gap: 0.75rem;
		justify-items: center;
	}
	.does {
		width: 100%;
		border-top: 1px solid var(--line);
		padding-top: 0.75rem;
		display: grid;
		gap: 0.5rem;
		justify-items: center;
	}
	dl {
		margin: 0 0 1rem;
		display: grid;
		grid-template-columns: 8.5rem minmax(0, 1fr);
		gap: 0.3rem 0.75rem;
		width: 100%;
	}
	.does dl {
		grid-template-columns: 5rem minmax(0, 1fr);
		font-size: var(--text-s);
		margin: 0;
	}
	dt {
		color: var(--ink-soft);
	}
	dd {
		margin: 0;
	}
	.ladder,
	.cautions {
		list-style: none;
		margin: 0.4rem 0 1rem;
		padding: 0;
		display: grid;
		gap: 0.5rem;
	}
	.like {
		justify-self: center;
		text-align: center;
	}
	.ladder li {
		display: grid;
		grid-template-columns: 84px minmax(0, 1fr);
		gap: 0.75rem;
		align-items: center;
	}
	@media (max-width: 56rem) {
		.cols {
			grid-template-columns: 1fr;
		}
	}
</style>
