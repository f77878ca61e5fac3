<script lang="ts">
	import { kitWords, MOST_PIECES, MOST_PIECES_EACH, type Group, type Kit } from '$lib/core/group';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import Tick from '$lib/ui/fields/Tick.svelte';
	import KitCounts from './KitCounts.svelte';

	/** Kit in the room, the studio's or this group's own, and kit that each person brings. */
	interface Props {
		group: Group;
		/** Kit of the studio. */
		studioKit: Kit;
		onchange: (change: Partial<Group>) => void;
	}
	let { group, studioKit, onchange }: Props = $props();

	/** The group's own count begins with what it has; sharing again takes the studio's. */
	const share = (shared: boolean) =>
		onchange(shared ? { sharesKit: true, kit: studioKit } : { sharesKit: false });
</script>

<section class="sheet" aria-labelledby="kit">
	<h2 id="kit">Kit</h2>
	<Tick label="Same as the studio" checked={group.sharesKit ?? false} onchange={share} />
	{#if group.sharesKit}
		<p>{kitWords(group.kit)}</p>
		<p class="quiet">
			Shared by all groups of the studio. Change it on the page <a href="/group">groups</a>.
		</p>
	{:else}
		<p class="quiet">Counted in pieces, for all {group.size} people together.</p>
		<KitCounts kit={group.kit} most={MOST_PIECES} onchange={(kit) => onchange({ kit })} />
	{/if}
	<Fold
		title="What each person brings"
		open={Object.values(group.kitEach ?? {}).some((pieces) => pieces > 0)}
	>
		<KitCounts
			kit={group.kitEach ?? {}}
			most={MOST_PIECES_EACH}
			after="each"
			onchange={(kitEach) => onchange({ kitEach })}
		/>
	</Fold>
</section>

<style>
	section {
		display: grid;
		gap: 0.9rem;
	}
</style>
