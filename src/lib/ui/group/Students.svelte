<script lang="ts">
	import { create, remove as removeAt, save, type Answer } from '$lib/client/api';
	import { Button } from 'carbon-components-svelte';
	import { LEGS, type Leg } from '$lib/core/anatomy';
	import { TIERS, type Group, type Tier } from '$lib/core/group';
	import { CAUTIONS, type Caution } from '$lib/core/movement';
	import { countStudents, type Student } from '$lib/core/group';

	interface Stored {
		id: string;
		version: number;
		student: Student;
	}
	/** The people of a group, for the eyes of the teacher who wrote them down. */
	interface Props {
		groupId: string;
		stored: Stored[];
		/** Takes the counts of the list over into the group. */
		oncount: (change: Pick<Group, 'tiers' | 'cautions'>) => void;
	}
	let { groupId, stored, oncount }: Props = $props();

	let people = $derived.by(() => {
		const list = $state([...stored]);
		return list;
	});
	let name = $state('');
	let tier = $state<Tier>('middling');
	let message = $state('');
	let gone = $state.raw<Student | null>(null);

	/** Says what stood in the way; what the server answered, or null. */
	function taken<T>(answer: Answer<T>): T | null {
		message = answer.ok
			? ''
			: answer.status === 409
				? 'This was changed in another window; open the page again.'
				: (answer.messages[0] ?? '');
		return answer.ok ? answer.value : null;
	}

	async function add() {
		if (await write({ name: name.trim(), tier, cautions: [], tighterSide: null })) name = '';
	}

	/** Writes somebody down; false when the server did not take it. */
	async function write(student: Student): Promise<boolean> {
		const path = `/api/groups/${groupId}/students`;
		const made = taken(await create<{ id: string }>(path, { document: student }));
		if (made) people.push({ id: made.id, version: 1, student });
		return made !== null;
	}

	async function change(entry: Stored, part: Partial<Student>) {
		const student = { ...entry.student, ...part };
		const saved = taken(await save(`/api/students/${entry.id}`, entry.version, student));
		if (saved) {
			entry.student = student;
			entry.version = saved.version;
		}
	}

	async function remove(entry: Stored) {
		if (!taken(await removeAt(`/api/students/${entry.id}`, entry.version))) return;
		people.splice(people.indexOf(entry), 1);
		gone = { ...entry.student };
		message = `${entry.student.name} is removed for good`;
	}

	/** Writes somebody down anew whom this page removed: until it is left, it still knows them. */
	async function bringBack(student: Student) {
		if (!(await write(student))) return;
		gone = null;
		message = `${student.name} is written down again`;
	}

	function take() {
		const { tiers, cautions } = countStudents(people.map((p) => p.student));
		oncount({ tiers, cautions });
		message = 'The group now has the tiers and cautions of this list';
	}
</script>

<section class="sheet" aria-labelledby="students">
	<h2 id="students">Students, if you like</h2>
	<p class="quiet">
		First name and initial. Only you see this list; removing somebody removes everything of them.
	</p>
	{#if people.length}
		<table>
			<thead>
				<tr
					><th scope="col">Who</th><th scope="col">Tier</th><th scope="col">Tighter side</th><th scope="col"
						>Cautions</th
					><th scope="col"><span class="visually-hidden">Remove</span></th></tr
				>
			</thead>
			<tbody>
				{#each people as entry (entry.id)}
					<tr>
						<th scope="row">{entry.student.name}</th>
						<td>
							<select
								aria-label="Tier of {entry.student.name}"
								value={entry.student.tier}
								onchange={(e) => change(entry, { tier: e.currentTarget.value as Tier })}
							>
								{#each TIERS as t (t)}<option value={t}>{t}</option>{/each}
							</select>
						</td>
						<td>
							<select
								aria-label="Tighter side of {entry.student.name}"
								value={entry.student.tighterSide ?? ''}
								onchange={(e) =>
									change(entry, { tighterSide: (e.currentTarget.value || null) as Leg | null })}
							>
								<option value="">neither</option>
								{#each LEGS as leg (leg)}<option value={leg}>{leg}</option>{/each}
							</select>
						</td>
						<td class="cautions">
							{#each entry.student.cautions as caution, index (index)}
								<button
									type="button"
									class="pill"
									aria-label="Take {caution} from {entry.student.name}"
									onclick={() =>
										change(entry, { cautions: entry.student.cautions.filter((c) => c !== caution) })}
									>{caution} ×</button
								>
							{/each}
							<select
								aria-label="Add a caution to {entry.student.name}"
								value=""
								onchange={(e) => {
									const caution = e.currentTarget.value as Caution;
									if (caution) void change(entry, { cautions: [...entry.student.cautions, caution] });
								}}
							>
								<option value="">add</option>
								{#each CAUTIONS.filter((c) => !entry.student.cautions.includes(c)) as c (c)}<option value={c}
										>{c}</option
									>{/each}
							</select>
						</td>
						<td>
							<button
								type="button"
								class="pill"
								aria-label="Remove {entry.student.name} for good"
								onclick={() => remove(entry)}>Remove</button
							>
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<p>
			<button type="button" class="pill" onclick={take}
				>Use this list’s tiers and cautions for the group</button
			>
		</p>
	{/if}
	<form
		onsubmit={(event) => {
			event.preventDefault();
			void add();
		}}
	>
		<input
			type="text"
			aria-label="First name and initial"
			placeholder="Oda F."
			maxlength="34"
			bind:value={name}
		/>
		<select aria-label="Tier of the new student" bind:value={tier}>
			{#each TIERS as t (t)}<option value={t}>{t}</option>{/each}
		</select>
		<button class="pill">Write down</button>
		<span role="status" class="quiet">{message}</span>
		{#if gone}
			{@const student = gone}
			<Button size="small" kind="ghost" on:click={() => bringBack(student)}>Bring them back</Button>
		{/if}
	</form>
</section>

<style>
	section {
		margin-top: 1.25rem;
		display: grid;
		gap: 0.6rem;
	}
	form {
		display: flex;
		gap: 0.6rem;
		align-items: center;
		flex-wrap: wrap;
	}
	input,
	select {
		height: 2.1rem;
		border: 1px solid var(--line-strong);
		border-radius: 6px;
		padding: 0 0.5rem;
		background: var(--sheet);
		color: var(--ink);
	}
	table {
		border-collapse: collapse;
		width: 100%;
		font-size: var(--text-s);
	}
	th,
	td {
		text-align: left;
		padding: 0.25rem 0.75rem 0.25rem 0;
		border-top: 1px solid var(--line);
	}
	.cautions {
		display: flex;
		gap: 0.3rem;
		flex-wrap: wrap;
	}
</style>
