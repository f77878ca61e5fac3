<script lang="ts">
	import { kitWords, type Group, type Kit } from '$lib/core/group';
	import { KIT_KINDS, type KitKind } from '$lib/core/movement';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import Tick from '$lib/ui/fields/Tick.svelte';
	import KitCounts from './KitCounts.svelte';

	/** What the room holds, the studio's or this group's own, and what each person brings. */
	interface Props {
		group: Group;
		/** What the studio holds. */
		studioKit: Kit;
		onchange: (change: Partial<Group>) => void;
	}
	let { group, studioKit, onchange }: Props = $props();

	function setEach(kit: KitKind, pieces: number) {
		const { [kit]: _before, ...others } = group.kitEach ?? {};
		onchange({ kitEach: pieces ? { ...others, [kit]: pieces } : others });
	}
	/** The group's own count begins with what it has; sharing again takes the studio's. */
	const share = (shared: boolean) =>
		onchange(shared ? { sharesKit: true, kit: studioKit } : { sharesKit: false });
</script>

<section class="sheet" aria-labelledby="kit">
	<h2 id="kit">Kit</h2>
	<Tick label="As the studio has it" checked={group.sharesKit ?? false} onchange={share} />
	{#if group.sharesKit}
		<p>{kitWords(group.kit)}</p>
		<p class="quiet">
			Shared by the groups of the studio; it is counted on the page of <a href="/group">groups</a>.
		</p>
	{:else}
		<p class="quiet">Counted in pieces, for all {group.size} people together.</p>
		<KitCounts kit={group.kit} onchange={(kit) => onchange({ kit })} />
	{/if}
	<Fold title="What each person brings" open={Object.keys(group.kitEach ?? {}).length > 0}>
		<div class="kinds">
			{#each KIT_KINDS as kind (kind)}
				<NumberField
					label="{kind} each"
					least={0}
					most={20}
					value={group.kitEach?.[kind] ?? 0}
					onchange={(pieces) => setEach(kind, pieces ?? 0)}
				/>
			{/each}
		</div>
	</Fold>
</section>

<style>
	section {
		display: grid;
		gap: 0.9rem;
	}
	.kinds {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(7.5rem, 1fr));
		gap: 0.6rem 0.75rem;
		align-items: end;
	}
</style>
