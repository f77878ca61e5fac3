<script lang="ts">
	import type { PlanDocument } from '$lib/client/plan/plan-document.svelte';
	import { usuallyHere } from '$lib/core/group';
	import { CAUTIONS, type Caution } from '$lib/core/movement';
	import { MOST_PEOPLE, sizeOf, TIERS, withCaution, type Here, type Tier } from '$lib/core/people';
	import { Button, NumberInput, Select, SelectItem } from 'carbon-components-svelte';

	/** Who is here today, counted at the door: the room sheet, the kit and the checks follow. */
	interface Props {
		doc: PlanDocument;
	}
	let { doc }: Props = $props();

	const usual = $derived(usuallyHere(doc.setting.group));
	const here = $derived(doc.plan.here ?? usual);
	const rest = $derived(CAUTIONS.filter((caution) => !here.cautions.some((c) => c.caution === caution)));
	const id = $props.id();
	/** What was just chosen; nothing again once it is counted. */
	let more = $state('');

	const set = (next: Here | undefined, said: string) => doc.edit({ do: 'setHere', here: next }, said);
	const setTier = (tier: Tier, count: number | null) =>
		set({ ...here, tiers: { ...here.tiers, [tier]: count ?? 0 } }, 'Counted');
	const setCaution = (caution: Caution, count: number | null) =>
		set(withCaution(here, caution, count ?? 0), 'Counted');
</script>

<p class="quiet">
	{doc.plan.here
		? `${sizeOf(here)} people today; ${sizeOf(usual)} usually`
		: `As usual: ${sizeOf(usual)} people. Count at the door what is otherwise; room sheet, kit and checks follow.`}
</p>
<div class="counts">
	{#each TIERS as tier (tier)}
		<NumberInput
			id="{id}-{tier}"
			labelText={tier}
			min={0}
			max={MOST_PEOPLE}
			value={here.tiers[tier]}
			on:change={(event) => {
				if (event.detail !== here.tiers[tier]) setTier(tier, event.detail);
			}}
		/>
	{/each}
	{#each here.cautions as { caution, people }, index (index)}
		<NumberInput
			id="{id}-{caution.replaceAll(' ', '-')}"
			labelText={caution}
			min={0}
			max={MOST_PEOPLE}
			value={people}
			on:change={(event) => {
				if (event.detail !== people) setCaution(caution, event.detail);
			}}
		/>
	{/each}
	<Select
		id="{id}-more"
		labelText="Somebody with"
		bind:selected={more}
		on:update={(event) => {
			if (event.detail) setCaution(event.detail as Caution, 1);
			more = '';
		}}
	>
		<SelectItem value="" text="nothing more" />
		{#each rest as caution, index (index)}<SelectItem value={caution} text={caution} />{/each}
	</Select>
</div>
{#if doc.plan.here}
	<Button size="small" kind="ghost" on:click={() => set(undefined, 'Everybody who usually comes')}>
		Back to who usually comes
	</Button>
{/if}

<style>
	.counts {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
		gap: 0.75rem;
		align-items: end;
		margin: 0.5rem 0;
	}
</style>
