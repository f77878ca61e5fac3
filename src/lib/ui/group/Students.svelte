<script lang="ts">
	import Words from '$lib/ui/fields/Words.svelte';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import RemoveStudent from './RemoveStudent.svelte';
	import { act, create, remove as removeAt, save, type Answer } from '$lib/client/api';
	import {
		Button,
		Table,
		TableBody,
		TableCell,
		TableHead,
		TableHeader,
		TableRow
	} from 'carbon-components-svelte';
	import { LEGS, type Leg } from '$lib/core/anatomy';
	import { TIERS, type Group, type Tier, countStudents, type Student } from '$lib/core/group';
	import CautionPicker from './CautionPicker.svelte';

	interface ListedStudent {
		id: string;
		version: number;
		student: Student;
	}
	/** The people of a group, for the eyes of the teacher who wrote them down. */
	interface Props {
		groupId: string;
		stored: ListedStudent[];
		/** Takes the counts of the list over into the group. */
		oncount: (change: Pick<Group, 'tiers' | 'cautions'>) => void;
		/** Who was removed and can be brought back, and for how many days. */
		removed: readonly { id: string; name: string }[];
		keptDays: number;
	}
	let { groupId, stored, removed, keptDays, oncount }: Props = $props();

	let people = $derived.by(() => {
		const list = $state([...stored]);
		return list;
	});
	let name = $state('');
	let tier = $state<Tier>('middling');
	let message = $state('');
	let gone = $derived(removed);
	/** Whom to remove, once it is confirmed. */
	let leaving = $state.raw<ListedStudent | null>(null);

	/** Says what stood in the way; what the server answered, or null. */
	function taken<T>(answer: Answer<T>): T | null {
		message = answer.ok
			? 'Saved'
			: answer.status === 409
				? 'This was changed in another window. Open the page again.'
				: (answer.messages[0] ?? '');
		return answer.ok ? answer.value : null;
	}

	/** One request after another: each begins from the version that the one before it left. */
	let last: Promise<unknown> = Promise.resolve();
	let waiting = $state(0);
	function inTurn<T>(work: () => Promise<T>): Promise<T> {
		waiting += 1;
		const next = last.then(work).finally(() => (waiting -= 1));
		last = next;
		return next;
	}

	async function add() {
		if (await write({ name: name.trim(), tier, cautions: [], tighterSide: null })) name = '';
	}

	/** Writes a person down; false when the server did not take it. */
	async function write(student: Student): Promise<boolean> {
		const path = `/api/groups/${groupId}/students`;
		const made = taken(await inTurn(() => create<{ id: string }>(path, { document: student })));
		if (made) people.push({ id: made.id, version: 1, student });
		return made !== null;
	}

	/** Changes a person; `of` is asked when it is its turn, for the change before may still be under way. */
	async function change(entry: ListedStudent, of: (student: Student) => Partial<Student>) {
		await inTurn(async () => {
			const student = { ...entry.student, ...of(entry.student) };
			const saved = taken(await save(`/api/students/${entry.id}`, entry.version, student));
			if (saved) Object.assign(entry, { student, version: saved.version });
		});
	}

	async function remove(entry: ListedStudent) {
		if (!taken(await inTurn(() => removeAt(`/api/students/${entry.id}`, entry.version)))) return;
		people.splice(people.indexOf(entry), 1);
		gone = [{ id: entry.id, name: entry.student.name }, ...gone];
		message = `${entry.student.name} is removed`;
		leaving = null;
	}

	async function bringBack(id: string) {
		const back = taken(await inTurn(() => act<ListedStudent>(`/api/students/${id}`)));
		if (!back) return;
		people.push(back);
		gone = gone.filter((one) => one.id !== id);
		message = `${back.student.name} is back, with what was measured of them`;
	}

	function take() {
		const { tiers, cautions } = countStudents(people.map((p) => p.student));
		oncount({ tiers, cautions });
		message = 'The group now has the tiers and cautions of this list';
	}
</script>

<section class="sheet" aria-labelledby="students">
	<h2 id="students">Students (optional)</h2>
	<p class="quiet">
		First name and initial. Only you see this list. Removing a person also removes their check-ins.
	</p>
	{#if people.length}
		<Table size="compact">
			<TableHead>
				<TableRow
					><TableHeader>Who</TableHeader><TableHeader>Tier</TableHeader><TableHeader>Tighter side</TableHeader
					><TableHeader>Cautions</TableHeader><TableHeader
						><span class="visually-hidden">Remove</span></TableHeader
					></TableRow
				>
			</TableHead>
			<TableBody>
				{#each people as entry (entry.id)}
					<TableRow>
						<TableHeader scope="row">{entry.student.name}</TableHeader>
						<TableCell>
							<Choice
								hideLabel
								label="Tier of {entry.student.name}"
								value={entry.student.tier}
								options={TIERS}
								onpick={(tier) => change(entry, () => ({ tier }))}
							/>
						</TableCell>
						<TableCell>
							<Choice
								hideLabel
								label="Tighter side of {entry.student.name}"
								value={entry.student.tighterSide ?? ''}
								options={[{ value: '', text: 'neither' }, ...LEGS]}
								onpick={(side) => change(entry, () => ({ tighterSide: (side || null) as Leg | null }))}
							/>
						</TableCell>
						<TableCell>
							<div class="cautions">
								{#each entry.student.cautions as caution, index (index)}
									<Button
										kind="tertiary"
										size="small"
										aria-label="Take {caution} from {entry.student.name}"
										on:click={() =>
											change(entry, ({ cautions }) => ({ cautions: cautions.filter((c) => c !== caution) }))}
										>{caution} ×</Button
									>
								{/each}
								<CautionPicker
									hideLabel
									label="Add a caution to {entry.student.name}"
									taken={entry.student.cautions}
									onpick={(caution) =>
										change(entry, ({ cautions }) => ({ cautions: [...cautions, caution] }))}
								/>
							</div>
						</TableCell>
						<TableCell>
							<Button
								kind="tertiary"
								size="small"
								aria-label="Remove {entry.student.name}"
								on:click={() => (leaving = entry)}>Remove</Button
							>
						</TableCell>
					</TableRow>
				{/each}
			</TableBody>
		</Table>
		<p>
			<Button kind="tertiary" size="small" on:click={take}>Use this list for the group</Button>
		</p>
	{/if}
	<form
		onsubmit={(event) => {
			event.preventDefault();
			void add();
		}}
	>
		<Words
			hideLabel
			label="First name and initial"
			placeholder="Oda F."
			most={34}
			value={name}
			oninput={(typed) => (name = typed)}
		/>
		<Choice
			hideLabel
			label="Tier of the new student"
			value={tier}
			options={TIERS}
			onpick={(picked) => (tier = picked)}
		/>
		<Button kind="tertiary" size="small" type="submit">Add student</Button>
		<span role="status" class="quiet">{waiting ? 'Saving …' : message}</span>
	</form>
	{#each gone as { id, name } (id)}
		<p class="gone">
			<span>{name} was removed. You can bring them back for {keptDays} days.</span>
			<Button size="small" kind="tertiary" aria-label="Bring {name} back" on:click={() => bringBack(id)}
				>Bring back</Button
			>
		</p>
	{/each}
	{#if leaving}
		{@const entry = leaving}
		<RemoveStudent
			id={entry.id}
			name={entry.student.name}
			{keptDays}
			onremove={() => remove(entry)}
			onclose={() => (leaving = null)}
		/>
	{/if}
</section>

<style>
	.cautions {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem;
	}
	section {
		margin-top: 1.25rem;
		display: grid;
		/* a wide table scrolls in itself and does not widen the page */
		grid-template-columns: minmax(0, 1fr);
		gap: 0.6rem;
	}
	section :global(.bx--data-table-content) {
		overflow-x: auto;
	}
	form,
	.gone {
		display: flex;
		gap: 0.6rem;
		align-items: center;
		flex-wrap: wrap;
	}
</style>
