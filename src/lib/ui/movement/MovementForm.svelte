<script lang="ts">
	import { Checkbox, TextInput } from 'carbon-components-svelte';
	import { movementRing } from '$lib/core/view-models';
	import {
		CAUTIONS,
		FORM_IDS,
		MODES,
		POSITION_NAME,
		POSITIONS,
		toggled,
		type Caution,
		type CautionAdvice,
		type DraftForm,
		type FormId,
		type Mode,
		type Movement,
		type MovementDraft,
		type ReadDraft
	} from '$lib/core/movement';
	import Figure from './Figure.svelte';
	import LegFields from './LegFields.svelte';
	import Ring from '../chart/Ring.svelte';

	/** A movement of one's own, as it is written down; the drawing follows as it is typed. */
	interface Props {
		draft: MovementDraft;
		read: ReadDraft;
		/** Movements that may be given instead. */
		catalogue: readonly Movement[];
		onchange: (draft: MovementDraft) => void;
	}
	let { draft, read, catalogue, onchange }: Props = $props();

	const TEACHING = [
		{ key: 'setUp', label: 'Set up' },
		{ key: 'watch', label: 'Look at' },
		{ key: 'mistakes', label: 'Usual mistakes' },
		{ key: 'leave', label: 'Leave' }
	] as const;

	const set = (change: Partial<MovementDraft>) => onchange({ ...draft, ...change });
	const setForm = (id: FormId, change: Partial<DraftForm>) =>
		set({ forms: draft.forms.map((form) => (form.id === id ? { ...form, ...change } : form)) });
	const setCare = (caution: Caution, change: Partial<CautionAdvice>) =>
		set({ cautions: draft.cautions.map((c) => (c.caution === caution ? { ...c, ...change } : c)) });
	const without = <T,>(list: T[], value: T) => list.filter((v) => v !== value);
	const freeForms = $derived(FORM_IDS.filter((id) => !draft.forms.some((form) => form.id === id)));
	const freeCautions = $derived(CAUTIONS.filter((c) => !draft.cautions.some((known) => known.caution === c)));

	function addForm(id: FormId) {
		const like = draft.forms[0];
		const form: DraftForm = { ...(like as DraftForm), id, how: '' };
		set({
			forms: [...draft.forms, form].sort((a, b) => FORM_IDS.indexOf(a.id) - FORM_IDS.indexOf(b.id))
		});
	}
	const id = $props.id();
</script>

<div class="cols form-fields">
	<div class="fields">
		<section class="sheet" aria-labelledby="{id}-what">
			<h2 id="{id}-what">What it is</h2>
			<div class="row">
				<label
					>Name <input
						type="text"
						maxlength="80"
						value={draft.english}
						oninput={(e) => set({ english: e.currentTarget.value })}
					/></label
				>
				<label
					>Sanskrit <input
						type="text"
						maxlength="80"
						value={draft.sanskrit}
						oninput={(e) => set({ sanskrit: e.currentTarget.value })}
					/></label
				>
			</div>
			<div class="row">
				<label
					>Other spellings, with commas <input
						type="text"
						value={draft.aliases}
						oninput={(e) => set({ aliases: e.currentTarget.value })}
					/></label
				>
				<label>
					Position
					<select
						value={draft.position}
						onchange={(e) => set({ position: e.currentTarget.value as Movement['position'] })}
					>
						{#each POSITIONS as position (position)}<option value={position}>{POSITION_NAME[position]}</option
							>{/each}
					</select>
				</label>
			</div>
			<fieldset>
				<legend>Modes</legend>
				<div class="checks">
					{#each MODES as mode (mode)}
						<label class="check">
							<input
								type="checkbox"
								checked={draft.modes.includes(mode)}
								onchange={(e) => set({ modes: toggled<Mode>(draft.modes, mode, e.currentTarget.checked) })}
							/>{mode}
						</label>
					{/each}
				</div>
			</fieldset>
		</section>
		<section class="sheet" aria-labelledby="{id}-legs">
			<h2 id="{id}-legs">The legs</h2>
			<p class="quiet">
				Write what the hip does: F flexion, E extension, AB and AD abduction and adduction, IR and ER turning
				in and out, K the knee, as in <code>F90 AB45 ER50 K90</code>. An arrow swings:
				<code>IR30 K90 -&gt; ER40 K90</code>.
			</p>
			<label class="check">
				<input
					type="checkbox"
					checked={draft.sided}
					onchange={(e) => set({ sided: e.currentTarget.checked })}
				/>
				The legs do different things: it has sides
			</label>
			{#if draft.sided}
				<Checkbox
					id="{id}-turns"
					labelText="The sides take turns: left, right, left"
					checked={draft.byTurns}
					on:check={(event) => set({ byTurns: event.detail })}
				/>
			{/if}
			<Checkbox
				id="{id}-ways"
				labelText="It goes both ways: circles, leans"
				checked={draft.bothWays}
				on:check={(event) => set({ bothWays: event.detail })}
			/>
			<LegFields
				title={draft.sided ? 'Leading leg' : 'Both legs'}
				leg={draft.lead}
				onchange={(lead) => set({ lead })}
			/>
			{#if draft.sided}
				<LegFields title="Other leg" leg={draft.trail} onchange={(trail) => set({ trail })} />
			{/if}
		</section>
		<section class="sheet" aria-labelledby="{id}-forms">
			<h2 id="{id}-forms">The ladder</h2>
			<p class="quiet">
				Doses as least-usual-most: <code>20-30-45 seconds</code>, <code>3-5-8 breaths</code>,
				<code>6-8-12 small repetitions</code>. Kit for one person, one a line:
				<code>2 block: under the hands</code>.
			</p>
			{#each draft.forms as form (form.id)}
				<fieldset>
					<legend>{form.id}</legend>
					<label
						>How <input
							type="text"
							maxlength="200"
							value={form.how}
							oninput={(e) => setForm(form.id, { how: e.currentTarget.value })}
						/></label
					>
					<div class="row">
						<label
							>Dose <input
								type="text"
								value={form.dose}
								oninput={(e) => setForm(form.id, { dose: e.currentTarget.value })}
							/></label
						>
						<label
							>Intensity, 1 to 5 <input
								type="number"
								min="1"
								max="5"
								value={form.intensity}
								onchange={(e) => setForm(form.id, { intensity: e.currentTarget.valueAsNumber || 1 })}
							/></label
						>
						<label
							>Effort, 0 to 3 <input
								type="number"
								min="0"
								max="3"
								value={form.effort}
								onchange={(e) => setForm(form.id, { effort: e.currentTarget.valueAsNumber || 0 })}
							/></label
						>
					</div>
					<label
						>Kit <textarea
							rows="2"
							value={form.kit}
							oninput={(e) => setForm(form.id, { kit: e.currentTarget.value })}></textarea></label
					>
					<div class="row">
						<TextInput
							size="sm"
							labelText={draft.sided ? 'Leading leg, where it differs' : 'Angles, where they differ'}
							placeholder={draft.lead.angles}
							value={form.lead}
							on:input={(e) => setForm(form.id, { lead: String(e.detail ?? '') })}
						/>
						{#if draft.sided}
							<TextInput
								size="sm"
								labelText="Other leg, where it differs"
								placeholder={draft.trail.angles}
								value={form.trail}
								on:input={(e) => setForm(form.id, { trail: String(e.detail ?? '') })}
							/>
						{/if}
					</div>
					{#if draft.modes.length > 1}
						<fieldset>
							<legend>How this form is done; as the others where none is ticked</legend>
							{#each draft.modes as mode, index (index)}
								<Checkbox
									labelText={mode}
									checked={form.modes.includes(mode)}
									on:check={(e) => setForm(form.id, { modes: toggled<Mode>(form.modes, mode, e.detail) })}
								/>
							{/each}
						</fieldset>
					{/if}
					{#if draft.forms.length > 1}
						<button type="button" class="pill" onclick={() => set({ forms: without(draft.forms, form) })}
							>Take the {form.id} form out</button
						>
					{/if}
				</fieldset>
			{/each}
			<p class="acts">
				{#each freeForms as form, index (index)}
					<button type="button" class="pill" onclick={() => addForm(form)}>Add a {form} form</button>
				{/each}
			</p>
		</section>
		<section class="sheet" aria-labelledby="{id}-teach">
			<h2 id="{id}-teach">Teaching it</h2>
			{#each TEACHING as { key, label } (key)}
				<label
					>{label}
					<textarea
						rows="2"
						maxlength="500"
						value={draft[key]}
						oninput={(e) => set({ [key]: e.currentTarget.value })}></textarea></label
				>
			{/each}
		</section>
		<section class="sheet" aria-labelledby="{id}-care">
			<h2 id="{id}-care">Cautions</h2>
			<p class="quiet">
				Those that follow from the angles are added by themselves. Each needs something that is given instead.
			</p>
			{#each draft.cautions as care, index (index)}
				<fieldset>
					<legend>{care.caution}</legend>
					<label>
						Advice
						<input
							type="text"
							maxlength="300"
							value={care.advice}
							oninput={(e) => setCare(care.caution, { advice: e.currentTarget.value })}
						/>
					</label>
					<label>
						Instead
						<select
							value={care.instead}
							onchange={(e) => setCare(care.caution, { instead: e.currentTarget.value })}
						>
							{#each catalogue as movement (movement.slug)}<option value={movement.slug}
									>{movement.english}</option
								>{/each}
						</select>
					</label>
					<button type="button" class="pill" onclick={() => set({ cautions: without(draft.cautions, care) })}
						>Take it out</button
					>
				</fieldset>
			{/each}
			<label>
				Add a caution
				<select
					value=""
					onchange={(e) => {
						const caution = e.currentTarget.value as Caution;
						if (caution)
							set({
								cautions: [...draft.cautions, { caution, advice: '', instead: 'constructive-rest', okIn: [] }]
							});
					}}
				>
					<option value="">choose</option>
					{#each freeCautions as caution, index (index)}<option value={caution}>{caution}</option>{/each}
				</select>
			</label>
		</section>
	</div>
	<aside class="sheet">
		<h2>As it will stand</h2>
		{#if read.ok}
			<Figure movement={read.movement} view="side" width={240} height={170} feet label="From the side" />
			<Figure movement={read.movement} view="front" width={240} height={170} feet label="From the front" />
			<Ring sectors={movementRing(read.movement)} size={150} signs label="Its directions" />
			{#if read.movement.cautions.length}
				<p><b>Cautions</b> {read.movement.cautions.map((c) => c.caution).join(', ')}</p>
			{/if}
		{:else}
			<p role="alert" class="wrong"><b>{read.field}</b>: {read.message}</p>
		{/if}
	</aside>
</div>

<style>
	.cols {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 19rem;
		gap: 1rem;
		align-items: start;
	}
	.fields,
	section,
	aside {
		display: grid;
		gap: 0.6rem;
		align-content: start;
	}
	aside {
		position: sticky;
		top: 0.75rem;
		justify-items: center;
	}
	.acts {
		display: flex;
		gap: 0.5rem;
	}
	.wrong {
		color: var(--stop);
	}
	@media (max-width: 56rem) {
		.cols {
			grid-template-columns: 1fr;
		}
		aside {
			position: static;
		}
	}
</style>
