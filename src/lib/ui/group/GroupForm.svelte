<script lang="ts">
	import { MOST_CHANGEOVER_MINUTES, NO_CHANGEOVER, WEEKDAY_NAMES } from '$lib/core/calendar';
	import { readTime } from '$lib/core/clock';
	import { MOMENTS, TIERS, type Group } from '$lib/core/group';
	import { CAUTIONS, type Caution } from '$lib/core/movement';
	import { lengthOfMinutes, minutesOfLength } from '$lib/core/plan';
	import { Button, NumberInput, Select, SelectItem, TextArea, TextInput } from 'carbon-components-svelte';
	import Close from 'carbon-icons-svelte/lib/Close.svelte';
	import GroupKit from './GroupKit.svelte';
	import GroupPurposes from './GroupPurposes.svelte';
	import GroupTargets from './GroupTargets.svelte';

	/** A group, every field of it; each change is handed up as a whole new group. */
	interface Props {
		group: Group;
		onchange: (group: Group) => void;
	}
	let { group, onchange }: Props = $props();

	const free = $derived(CAUTIONS.filter((c) => !group.cautions.some((known) => known.caution === c)));
	let nextCaution = $state<Caution | ''>('');

	const changeover = $derived(group.changeover ?? NO_CHANGEOVER);
	const set = (change: Partial<Group>) => onchange({ ...group, ...change });

	function addCaution() {
		if (nextCaution) set({ cautions: [...group.cautions, { caution: nextCaution, people: 1 }] });
		nextCaution = '';
	}
	/** A number field that was emptied keeps what was there. */
	const given = (value: number | null | undefined, before: number) => value ?? before;
</script>

<div class="form">
	<section class="sheet" aria-labelledby="people">
		<h2 id="people">The people</h2>
		<TextInput
			id="g-name"
			labelText="Name"
			value={group.name}
			maxlength={80}
			on:input={(e) => set({ name: String(e.detail ?? '') })}
		/>
		<TextInput
			id="g-discipline"
			labelText="What they do"
			value={group.discipline}
			maxlength={120}
			on:input={(e) => set({ discipline: String(e.detail ?? '') })}
		/>
		<div class="row">
			<NumberInput
				hideSteppers
				id="g-size"
				labelText="How many"
				min={1}
				max={200}
				value={group.size}
				on:change={(e) => set({ size: given(e.detail, group.size) })}
			/>
			{#each TIERS as tier (tier)}
				<NumberInput
					hideSteppers
					id="g-{tier}"
					labelText={tier}
					min={0}
					max={200}
					value={group.tiers[tier]}
					on:change={(e) => set({ tiers: { ...group.tiers, [tier]: given(e.detail, group.tiers[tier]) } })}
				/>
			{/each}
		</div>
		<div class="row times">
			<Select
				id="g-weekday"
				labelText="Day"
				selected={group.weekday}
				on:update={(e) => set({ weekday: Number(e.detail) })}
			>
				{#each WEEKDAY_NAMES as name, index (name)}<SelectItem value={index + 1} text={name} />{/each}
			</Select>
			<TextInput
				id="g-starts"
				labelText="Starts"
				maxlength={5}
				value={group.startsAt}
				on:blur={(e) => {
					const startsAt = readTime((e.target as HTMLInputElement).value);
					if (startsAt) set({ startsAt });
					else (e.target as HTMLInputElement).value = group.startsAt;
				}}
			/>
			<NumberInput
				hideSteppers
				id="g-minutes"
				labelText="Minutes"
				min={1}
				max={240}
				value={minutesOfLength(group.lengthSeconds)}
				on:change={(e) => set({ lengthSeconds: lengthOfMinutes(Number(e.detail)) ?? group.lengthSeconds })}
			/>
			<Select
				id="g-moment"
				labelText="Moment"
				selected={group.moment}
				on:update={(e) => set({ moment: e.detail as Group['moment'] })}
			>
				{#each MOMENTS as moment (moment)}<SelectItem value={moment} text={moment} />{/each}
			</Select>
		</div>
		<TextInput
			id="g-room"
			labelText="Room"
			value={group.room}
			maxlength={80}
			on:input={(e) => set({ room: String(e.detail ?? '') })}
		/>
		<div class="row">
			<NumberInput
				hideSteppers
				id="g-before"
				labelText="Room kept before, minutes"
				min={0}
				max={MOST_CHANGEOVER_MINUTES}
				value={changeover.beforeMinutes}
				on:change={(e) =>
					set({ changeover: { ...changeover, beforeMinutes: given(e.detail, changeover.beforeMinutes) } })}
			/>
			<NumberInput
				hideSteppers
				id="g-after"
				labelText="And after, minutes"
				min={0}
				max={MOST_CHANGEOVER_MINUTES}
				value={changeover.afterMinutes}
				on:change={(e) =>
					set({ changeover: { ...changeover, afterMinutes: given(e.detail, changeover.afterMinutes) } })}
			/>
		</div>
		<TextArea
			labelText="Note"
			id="g-note"
			rows={2}
			value={group.note}
			maxlength={1000}
			on:input={(e) => set({ note: (e.target as HTMLTextAreaElement).value })}
		/>
	</section>

	<GroupTargets {group} onchange={set} />

	<GroupPurposes {group} onchange={set} />

	<section class="sheet" aria-labelledby="cautions">
		<h2 id="cautions">Cautions in the room</h2>
		<p class="quiet">
			What and how many; no name, no diagnosis. After surgery or with leg symptoms the treating clinician
			decides.
		</p>
		<ul>
			{#each group.cautions as known, index (index)}
				<li>
					<span>{known.caution}</span>
					<input
						class="figure"
						type="number"
						min="1"
						max="200"
						aria-label="People with {known.caution}"
						value={known.people}
						onchange={(e) =>
							set({
								cautions: group.cautions.map((c) =>
									c === known ? { ...c, people: e.currentTarget.valueAsNumber || c.people } : c
								)
							})}
					/>
					<button
						type="button"
						aria-label="Remove {known.caution}"
						onclick={() => set({ cautions: group.cautions.filter((c) => c !== known) })}
					>
						<Close size={16} />
					</button>
				</li>
			{:else}
				<li class="quiet">None known</li>
			{/each}
		</ul>
		<div class="row end">
			<Select id="g-caution" labelText="Another caution" bind:selected={nextCaution}>
				<SelectItem value="" text="Choose" />
				{#each free as caution, index (index)}<SelectItem value={caution} text={caution} />{/each}
			</Select>
			<Button kind="tertiary" size="field" disabled={!nextCaution} on:click={addCaution}>Add</Button>
		</div>
	</section>

	<GroupKit {group} onchange={set} />
</div>

<style>
	.form {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(26rem, 1fr));
		gap: 1.25rem;
		align-items: start;
	}
	section {
		display: grid;
		gap: 0.9rem;
	}
	.row {
		display: grid;
		grid-template-columns: repeat(4, minmax(0, 1fr));
		gap: 0.75rem;
		align-items: end;
	}
	/* the longest day and the longest moment are read whole */
	.row.times {
		grid-template-columns: minmax(9.5rem, 1fr) minmax(0, 0.7fr) minmax(0, 0.7fr) minmax(10rem, 1fr);
	}
	.row.end {
		grid-template-columns: 1fr auto;
		align-items: end;
	}
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.4rem;
	}
	li {
		display: flex;
		align-items: center;
		gap: 0.75rem;
	}
	li span {
		flex: 1;
	}
	li button {
		width: 28px;
		height: 28px;
		border: 0;
		background: none;
		cursor: pointer;
		color: var(--ink);
	}
	@media (max-width: 40rem) {
		.form {
			grid-template-columns: minmax(0, 1fr);
		}
		.row,
		.row.times {
			grid-template-columns: 1fr 1fr;
		}
	}
</style>
