<script lang="ts">
	import type { Group } from '$lib/core/group';
	import { KIT_KINDS, type KitKind } from '$lib/core/movement';

	/** What the room holds, and what each person brings. */
	interface Props {
		group: Group;
		onchange: (change: Partial<Group>) => void;
	}
	let { group, onchange }: Props = $props();

	const count = (input: HTMLInputElement) => input.valueAsNumber || 0;
	function setEach(kit: KitKind, pieces: number) {
		const { [kit]: _before, ...others } = group.kitEach ?? {};
		onchange({ kitEach: pieces ? { ...others, [kit]: pieces } : others });
	}
</script>

<section class="sheet" aria-labelledby="kit">
	<h2 id="kit">Kit</h2>
	<p class="quiet">Counted in pieces, for all {group.size} people together.</p>
	<table class="figures">
		<thead>
			<tr><th scope="col">Kind</th><th scope="col">In the room</th><th scope="col">Each person brings</th></tr
			>
		</thead>
		<tbody>
			{#each KIT_KINDS as kit (kit)}
				<tr>
					<th scope="row">{kit}</th>
					<td>
						<input
							class="figure"
							type="number"
							min="0"
							max="2000"
							aria-label="{kit} in the room"
							value={group.kit[kit] ?? 0}
							onchange={(e) => onchange({ kit: { ...group.kit, [kit]: count(e.currentTarget) } })}
						/>
					</td>
					<td>
						<input
							class="figure"
							type="number"
							min="0"
							max="20"
							aria-label="{kit} that each person brings"
							value={group.kitEach?.[kit] ?? 0}
							onchange={(e) => setEach(kit, count(e.currentTarget))}
						/>
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</section>

<style>
	section {
		display: grid;
		gap: 0.9rem;
	}
</style>
