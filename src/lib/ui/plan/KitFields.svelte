<script lang="ts">
	import type { ItemCommands } from '$lib/client/plan/item-commands';
	import { KIT_KINDS, type KitKind } from '$lib/core/movement';
	import { KIT_FOR, type KitFor, type KitUse } from '$lib/core/plan';
	import type { OrderRow } from '$lib/core/view-models';
	import { Select, SelectItem } from 'carbon-components-svelte';

	/** Who uses each kind of kit of an item, and kit brought in besides. */
	interface Props {
		row: OrderRow;
		items: ItemCommands;
	}
	let { row, items }: Props = $props();

	const { item, form } = $derived(row);
	const uses = $derived(item.kit ?? []);
	const kinds = $derived([...new Set([...form.props.map(({ kit }) => kit), ...uses.map(({ kit }) => kit)])]);
	const own = $derived(new Set(form.props.map(({ kit }) => kit)));
	const id = $props.id();
	/** The kit just chosen; empty again once it is added. */
	let more = $state('');

	function set(kit: KitKind, whom: KitFor | '') {
		const others = uses.filter((use) => use.kit !== kit);
		const kept: KitUse[] = whom ? [...others, { kit, for: whom }] : others;
		items.change(item, { kit: kept }, `${kit}: ${whom || 'everybody'}`);
	}
</script>

<div class="kit" role="group" aria-label="Kit of {row.movement.english}">
	{#each kinds as kit, index (index)}
		<Select
			id="{id}-{kit}"
			size="sm"
			labelText={`${kit} for`}
			selected={uses.find((use) => use.kit === kit)?.for ?? ''}
			on:change={(event) => set(kit, (event.target as HTMLSelectElement).value as KitFor | '')}
		>
			<SelectItem value="" text={own.has(kit) ? 'everybody' : 'nobody'} />
			{#each KIT_FOR as whom (whom)}<SelectItem value={whom} text={whom} />{/each}
		</Select>
	{/each}
	<Select
		id="{id}-more"
		size="sm"
		labelText="More kit, for one person"
		bind:selected={more}
		on:update={(event) => {
			if (event.detail) set(event.detail as KitKind, 'one person');
			more = '';
		}}
	>
		<SelectItem value="" text="none" />
		{#each KIT_KINDS.filter((kit) => !kinds.includes(kit)) as kit, index (index)}<SelectItem
				value={kit}
				text={kit}
			/>{/each}
	</Select>
</div>

<style>
	.kit {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
		gap: 0.6rem 0.75rem;
		align-items: end;
	}
</style>
