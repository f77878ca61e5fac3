<script lang="ts">
	import { goto } from '$app/navigation';
	import { InlineNotification, NotificationActionButton } from 'carbon-components-svelte';

	/** Says that a document was removed in another window while it was open here, and keeps it as a new one. */
	interface Props {
		/** "This class". */
		what: string;
		/** Keeps it as a new one; its page, or null when the server did not take it. Without it nothing can be kept. */
		keep?: (() => Promise<string | null>) | undefined;
		/** Called when it is kept, before its page opens. */
		onkept?: () => void;
	}
	let { what, keep, onkept }: Props = $props();
	let trouble = $state(false);
	let busy = $state(false);

	async function take() {
		busy = true;
		const page = await keep?.();
		busy = false;
		trouble = !page;
		if (!page) return;
		onkept?.();
		await goto(page);
	}
</script>

<InlineNotification
	kind="warning"
	lowContrast
	hideCloseButton
	title="{what} was removed in another window"
	subtitle={trouble
		? 'It could not be saved. It is still here; try again.'
		: keep
			? 'This is the only copy left.'
			: 'Changes made here can no longer be saved.'}
>
	<svelte:fragment slot="actions">
		{#if keep}
			<NotificationActionButton disabled={busy} on:click={take}>Save it as a new one</NotificationActionButton
			>
		{/if}
	</svelte:fragment>
</InlineNotification>
