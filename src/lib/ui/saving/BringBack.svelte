<script lang="ts">
	import Hidden from '$lib/ui/primitives/Hidden.svelte';
	import { InlineNotification, NotificationActionButton } from 'carbon-components-svelte';

	/** Offers back what was removed, by the `restore` action of the page that it stands on. */
	interface Props {
		/** “After the headland run”. */
		what: string;
		id: string;
		/** For how long it can be. */
		days: number;
	}
	let { what, id, days }: Props = $props();
</script>

<form method="POST" action="?/restore">
	<Hidden name="id" value={id} />
	<InlineNotification
		kind="info"
		lowContrast
		title="{what} is removed"
		subtitle="You can bring it back for {days} days."
	>
		<svelte:fragment slot="actions">
			<NotificationActionButton type="submit">Bring it back</NotificationActionButton>
		</svelte:fragment>
	</InlineNotification>
</form>
