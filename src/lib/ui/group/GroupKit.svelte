<script lang="ts">
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import { Table, TableBody, TableCell, TableHead, TableHeader, TableRow } from 'carbon-components-svelte';
	import type { Group } from '$lib/core/group';
	import { KIT_KINDS, type KitKind } from '$lib/core/movement';

	/** What the room holds, and what each person brings. */
	interface Props {
		group: Group;
		onchange: (change: Partial<Group>) => void;
	}
	let { group, onchange }: Props = $props();

	function setEach(kit: KitKind, pieces: number) {
		const { [kit]: _before, ...others } = group.kitEach ?? {};
		onchange({ kitEach: pieces ? { ...others, [kit]: pieces } : others });
	}
</script>

<section class="sheet" aria-labelledby="kit">
	<h2 id="kit">Kit</h2>
	<p class="quiet">Counted in pieces, for all {group.size} people together.</p>
	<Table size="compact">
		<TableHead>
			<TableRow
				><TableHeader>Kind</TableHeader><TableHeader>In the room</TableHeader><TableHeader
					>Each person brings</TableHeader
				></TableRow
			>
		</TableHead>
		<TableBody>
			{#each KIT_KINDS as kit (kit)}
				<TableRow>
					<TableHeader scope="row">{kit}</TableHeader>
					<TableCell>
						<NumberField
							narrow
							hideLabel
							label="{kit} in the room"
							least={0}
							most={2000}
							value={group.kit[kit] ?? 0}
							onchange={(pieces) => onchange({ kit: { ...group.kit, [kit]: pieces ?? 0 } })}
						/>
					</TableCell>
					<TableCell>
						<NumberField
							narrow
							hideLabel
							label="{kit} that each person brings"
							least={0}
							most={20}
							value={group.kitEach?.[kit] ?? 0}
							onchange={(pieces) => setEach(kit, pieces ?? 0)}
						/>
					</TableCell>
				</TableRow>
			{/each}
		</TableBody>
	</Table>
</section>

<style>
	section {
		display: grid;
		gap: 0.9rem;
	}
</style>
