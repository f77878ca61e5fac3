<script lang="ts">
	import { create } from '$lib/client/api';
	import { notesAsPlanned, CLASS_NOTES, type ClassNotes } from '$lib/core/record';
	import { withVersion } from '$lib/core/validation';
	import DayField from '$lib/ui/fields/DayField.svelte';
	import TimeField from '$lib/ui/fields/TimeField.svelte';
	import Words from '$lib/ui/fields/Words.svelte';
	import RecordForm from './RecordForm.svelte';
	import { untrack } from 'svelte';

	/** A class that was taught without a plan, on any day. */
	interface Props {
		groupId: string;
		today: string;
		onkept: () => Promise<void>;
	}
	let { groupId, today, onkept }: Props = $props();

	let title = $state('');
	let on = $state(untrack(() => today));
	let startsAt = $state('18:00');
	let said = $state('');
	const draft = notesAsPlanned(5, 60);

	async function keep(document: ClassNotes | null) {
		if (!document) return;
		const body = { title: title.trim(), on, startsAt, document: withVersion(CLASS_NOTES, document) };
		const answer = await create<{ id: string }>(`/api/groups/${groupId}/records`, body);
		said = answer.ok ? 'Recorded' : answer.messages.join(' ');
		if (answer.ok) {
			title = '';
			await onkept();
		}
	}
</script>

<div class="form-fields">
	<div class="row">
		<Words label="What it was" most={120} value={title} oninput={(typed) => (title = typed)} />
		<DayField label="Day" value={on} onpick={(picked) => (on = picked)} />
		<TimeField label="Begins" value={startsAt} onpick={(typed) => (startsAt = typed)} />
	</div>
	<RecordForm {draft} movements={[]} isWritten={false} onlog={keep} />
	<p role="status">{said}</p>
</div>

<style>
	.row {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
		gap: 0.75rem;
		margin-bottom: 0.75rem;
	}
</style>
