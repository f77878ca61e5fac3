<script lang="ts">
	import type { BlockCommands } from '$lib/client/plan/block-commands';
	import { CLASS_KINDS, KINDS, type ClassKind } from '$lib/core/pace';
	import type { OrderSection } from '$lib/core/view-models';
	import { Select, SelectItem } from 'carbon-components-svelte';

	/** Parts of a class that are taught otherwise than the rest. */
	interface Props {
		sections: OrderSection[];
		blocks: BlockCommands;
	}
	let { sections, blocks }: Props = $props();
	const id = $props.id();
</script>

<div class="parts" role="group" aria-label="Sections with their own pace">
	{#each sections as section (section.id)}
		<Select
			id="{id}-{section.id}"
			size="sm"
			labelText="{section.name} is taught"
			selected={section.classKind ?? ''}
			on:change={(event) =>
				blocks.setKind(
					section.id,
					((event.target as HTMLSelectElement).value || undefined) as ClassKind | undefined
				)}
		>
			<SelectItem value="" text="like the rest" />
			{#each CLASS_KINDS as kind (kind)}<SelectItem
					value={kind}
					text={KINDS[kind].name.toLowerCase()}
				/>{/each}
		</Select>
	{/each}
</div>

<style>
	.parts {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(10rem, 1fr));
		gap: 0.75rem;
		margin-top: 1rem;
	}
</style>
