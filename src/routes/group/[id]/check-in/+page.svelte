<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { remove, save } from '$lib/client/api';
	import { withVersion } from '$lib/core/validation';
	import { GROUP } from '$lib/core/group';
	import { withOffer, type MeasureSuggestion } from '$lib/core/measure';
	import { KEEP_YEARS } from '$lib/core/hip-tests';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import Result from '$lib/ui/measure/Result.svelte';
	import TakeCheckIn from '$lib/ui/measure/TakeCheckIn.svelte';
	import { Button } from 'carbon-components-svelte';

	let { data } = $props();

	let said = $state('');
	let isBusy = $state(false);

	/** Applies a suggestion, and nothing else. */
	async function take(offer: MeasureSuggestion) {
		isBusy = true;
		const { id, version, group } = data.stored;
		const answer = await save(`/api/groups/${id}`, version, withVersion(GROUP, withOffer(group, offer)));
		said = answer.ok ? 'Applied to the group' : 'That did not work; open the page again.';
		await invalidateAll();
		isBusy = false;
	}

	async function takeBack() {
		if (!data.last) return;
		const answer = await remove(`/api/check-ins/${data.last.id}`, data.last.version);
		said = answer.ok ? 'The last check-in is undone' : (answer.messages[0] ?? '');
		await invalidateAll();
	}

	async function keepFor(years: number | null) {
		if (years === null) return;
		const answer = await save('/api/studio/keep', data.keeps.version, { years });
		said = answer.ok ? 'Saved' : 'That did not work; open the page again.';
		await invalidateAll();
	}
	const measured = $derived(data.students.filter(({ results }) => results.length > 0));
</script>

<svelte:head><title>Check-ins: {data.stored.group.name} · Humble Orbit</title></svelte:head>

<p><a href="/group/{data.stored.id}">Back to the group</a></p>
<h1>Check-ins: {data.stored.group.name}</h1>
<p class="quiet lead">
	How far the hips move, left against right and over the weeks, compared with the error of measuring. This is
	not a diagnosis. Pain means stop; see a doctor or physiotherapist when something is unclear.
</p>

<section class="sheet form-fields" aria-labelledby="take-title">
	<h2 id="take-title">Take one</h2>
	{#if data.next?.why}<p class="quiet">{data.next.why}</p>{/if}
	<TakeCheckIn
		groupId={data.stored.id}
		students={data.students}
		cautions={data.stored.group.cautions}
		test={data.next?.test ?? 'figure-four-knee'}
		onkept={() => invalidateAll()}
	/>
</section>

{#if data.offers.length}
	<section class="sheet" aria-labelledby="offers-title">
		<h2 id="offers-title">Suggestions from the results</h2>
		<ul class="offers">
			{#each data.offers as offer, i (i)}
				<li>
					<span>{offer.words}</span>
					{#if offer.kind !== 'word'}
						<Button kind="tertiary" size="small" disabled={isBusy} on:click={() => take(offer)}>Apply</Button>
					{/if}
				</li>
			{/each}
		</ul>
	</section>
{/if}

<section class="sheet results" aria-labelledby="group-title">
	<h2 id="group-title">The group</h2>
	{#each data.results as result, i (i)}
		<Result {result} />
	{:else}
		<p>No counts yet. One test takes under a minute: people hold the position, and you tap what you see.</p>
	{/each}
	{#if data.last}
		<p><Button kind="ghost" size="small" on:click={takeBack}>Undo the last check-in</Button></p>
	{/if}
</section>

{#if data.students.length}
	<section class="sheet results" aria-labelledby="people-title">
		<h2 id="people-title">People, for you only</h2>
		{#each measured as { id, name, results } (id)}
			{#each results as result, i (i)}
				<Result whose="{name}: " {result} />
			{/each}
		{:else}
			<p>No person has a check-in yet.</p>
		{/each}
		<h3>All data about a person</h3>
		<ul class="offers">
			{#each data.students as { id, name } (id)}
				<li>
					<a href="/api/students/{id}" download>{name}, as a file</a>
				</li>
			{/each}
		</ul>
		<p class="quiet">
			To remove a person for good, with everything that was measured and their name in your notes, remove them
			from the list of <a href="/group/{data.stored.id}#students">the group</a>.
		</p>
	</section>
{/if}

<section class="sheet form-fields" aria-labelledby="keep-title">
	<h2 id="keep-title">How long data are kept</h2>
	<NumberField
		narrow
		label="Years, for the whole studio"
		least={KEEP_YEARS.least}
		most={KEEP_YEARS.most}
		value={data.keeps.keepYears}
		onchange={keepFor}
	/>
	<p class="quiet">
		Older check-ins and the steps of led classes are deleted automatically. Files and shared links do not
		contain them. Only you see counts of fewer than five people.
	</p>
</section>
<p role="status">{said}</p>

<style>
	section {
		display: grid;
		gap: 0.75rem;
		margin: 1rem 0;
	}
	.results {
		gap: 1.5rem;
	}
	.lead {
		max-width: 68ch;
	}
	.offers {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	.offers li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		justify-content: space-between;
		gap: 0.5rem 1rem;
		padding: 0.4rem 0;
		border-top: 1px solid var(--line);
	}
	.offers span {
		max-width: 60ch;
	}
</style>
