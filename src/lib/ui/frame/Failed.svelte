<script lang="ts">
	import { InlineNotification, NotificationActionButton } from 'carbon-components-svelte';
	import { untrack } from 'svelte';

	/** In the place of a part that could not be shown: says so, and tries again when what it shows changes. */
	interface Props {
		what: string;
		shows: unknown;
		onundo: (() => void) | undefined;
		reset: () => void;
	}
	let { what, shows, onundo, reset }: Props = $props();

	const failedOn = untrack(() => shows);
	$effect(() => {
		if (shows !== failedOn) untrack(reset);
	});
</script>

<InlineNotification
	kind="error"
	lowContrast
	hideCloseButton
	title="{what} cannot be shown just now"
	subtitle="Nothing is lost. Undo the last change, or try again."
>
	<svelte:fragment slot="actions">
		{#if onundo}<NotificationActionButton on:click={onundo}>Undo</NotificationActionButton>{/if}
		<NotificationActionButton on:click={reset}>Try again</NotificationActionButton>
	</svelte:fragment>
</InlineNotification>
