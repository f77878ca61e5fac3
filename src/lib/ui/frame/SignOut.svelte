<script lang="ts">
	import { counted } from '$lib/core/text';
	import { Button, Modal } from 'carbon-components-svelte';

	/** Signs out, and leaves nothing of the studio on the device; says first what has not reached the server. */
	let form = $state<HTMLFormElement>();
	/** Number of classes that would be lost; 0 before the check. */
	let unsent = $state(0);

	async function leave(event: SubmitEvent) {
		event.preventDefault();
		const { unsentEvents } = await import('$lib/client/saving/forget');
		unsent = await unsentEvents();
		if (unsent === 0) await go();
	}

	async function go() {
		const { forgetDevice } = await import('$lib/client/saving/forget');
		await forgetDevice();
		// past the handler above
		form?.submit();
	}
</script>

<form method="POST" action="/sign-out" bind:this={form} onsubmit={leave}>
	<Button kind="ghost" size="small" type="submit">Sign out</Button>
</form>
{#if unsent > 0}
	<Modal
		open
		danger
		modalHeading="A class has not reached the server yet"
		primaryButtonText="Sign out and lose it"
		secondaryButtonText="Stay signed in"
		on:click:button--secondary={() => (unsent = 0)}
		on:close={() => (unsent = 0)}
		on:submit={go}
	>
		<p>
			{counted(unsent, 'event')} of classes taught with this device have not reached the server. Signing out deletes
			all studio data from this device.
		</p>
	</Modal>
{/if}

<style>
	form {
		align-self: center;
		margin: 0 0.75rem 0 1rem;
	}
</style>
