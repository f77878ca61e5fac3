<script lang="ts">
	import { markNoticeShown, wasNoticeShown } from '$lib/client/plan/pace-notice';
	import { formatDuration } from '$lib/core/clock';
	import { onMount } from 'svelte';
	import { Button, InlineNotification } from 'carbon-components-svelte';

	/** Says once that a class does not fit any more since the pace of its teacher was learned. */
	interface Props {
		planId: string;
		/** When it was learned. */
		at: string;
		totalSeconds: number;
		lengthSeconds: number;
		busy: boolean;
		onfit: () => void;
	}
	let { planId, at, totalSeconds, lengthSeconds, busy, onfit }: Props = $props();

	// only the browser knows
	let isSaid = $state(true);
	onMount(() => {
		isSaid = wasNoticeShown(planId, at);
	});

	function said() {
		isSaid = true;
		markNoticeShown(planId, at);
	}
</script>

{#if !isSaid && totalSeconds !== lengthSeconds}
	<InlineNotification
		kind="info"
		lowContrast
		title="Your pace was learned since this class was made."
		subtitle="At your pace it takes {formatDuration(totalSeconds)}, not {formatDuration(lengthSeconds)}."
		on:close={said}
	>
		<svelte:fragment slot="actions">
			<Button
				kind="ghost"
				size="small"
				disabled={busy}
				on:click={() => {
					said();
					onfit();
				}}>Fit it to {formatDuration(lengthSeconds)}</Button
			>
		</svelte:fragment>
	</InlineNotification>
{/if}
