<script lang="ts">
	import CautionPicker from '$lib/ui/group/CautionPicker.svelte';
	import Words from '$lib/ui/fields/Words.svelte';
	import Tick from '$lib/ui/fields/Tick.svelte';
	import Choice from '$lib/ui/fields/Choice.svelte';
	import NumberField from '$lib/ui/fields/NumberField.svelte';
	import { Button } from 'carbon-components-svelte';
	import { movementRing } from '$lib/core/view-models';
	import {
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
				<Words label="Name" most={80} value={draft.english} oninput={(text) => set({ english: text })} />
				<Words
					label="Sanskrit"
					most={80}
					value={draft.sanskrit}
					oninput={(text) => set({ sanskrit: text })}
				/>
			</div>
			<div class="row">
				<Words
					label="Other spellings, separated by commas"
					value={draft.aliases}
					oninput={(text) => set({ aliases: text })}
				/>
				<Choice
					label="Position"
					value={draft.position}
					options={POSITIONS.map((value) => ({ value, text: POSITION_NAME[value] }))}
					onpick={(position) => set({ position })}
				/>
			</div>
			<fieldset>
				<legend>Modes</legend>
				<div class="checks">
					{#each MODES as mode (mode)}
						<Tick
							label={mode}
							checked={draft.modes.includes(mode)}
							onchange={(on) => set({ modes: toggled<Mode>(draft.modes, mode, on) })}
						/>
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
			<Tick
				label="The legs do different things (two sides)"
				checked={draft.sided}
				onchange={(sided) => set({ sided })}
			/>
			{#if draft.sided}
				<Tick
					label="Alternating sides: left, right, left"
					checked={draft.byTurns}
					onchange={(byTurns) => set({ byTurns })}
				/>
			{/if}
			<Tick
				label="Both directions: circles, leans"
				checked={draft.bothWays}
				onchange={(bothWays) => set({ bothWays })}
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
				<code>6-8-12 small repetitions</code>. Kit for one person, one per line:
				<code>2 block: under the hands</code>.
			</p>
			{#each draft.forms as form (form.id)}
				<fieldset>
					<legend>{form.id}</legend>
					<Words
						label="How"
						most={200}
						value={form.how}
						oninput={(text) => setForm(form.id, { how: text })}
					/>
					<div class="row">
						<Words label="Dose" value={form.dose} oninput={(text) => setForm(form.id, { dose: text })} />
						<NumberField
							label="Intensity, 1 to 5"
							least={1}
							most={5}
							value={form.intensity}
							onchange={(number) => setForm(form.id, { intensity: number ?? 1 })}
						/>
						<NumberField
							label="Effort, 0 to 3"
							least={0}
							most={3}
							value={form.effort}
							onchange={(number) => setForm(form.id, { effort: number ?? 0 })}
						/>
					</div>
					<Words label="Kit" rows={2} value={form.kit} oninput={(text) => setForm(form.id, { kit: text })} />
					<div class="row">
						<Words
							label={draft.sided ? 'Leading leg, if different' : 'Angles, if different'}
							placeholder={draft.lead.angles}
							value={form.lead}
							oninput={(text) => setForm(form.id, { lead: text })}
						/>
						{#if draft.sided}
							<Words
								label="Other leg, if different"
								placeholder={draft.trail.angles}
								value={form.trail}
								oninput={(text) => setForm(form.id, { trail: text })}
							/>
						{/if}
					</div>
					{#if draft.modes.length > 1}
						<fieldset>
							<legend>Modes of this form (none: same as the movement)</legend>
							{#each draft.modes as mode, index (index)}
								<Tick
									label={mode}
									checked={form.modes.includes(mode)}
									onchange={(on) => setForm(form.id, { modes: toggled<Mode>(form.modes, mode, on) })}
								/>
							{/each}
						</fieldset>
					{/if}
					{#if draft.forms.length > 1}
						<Button kind="tertiary" size="small" on:click={() => set({ forms: without(draft.forms, form) })}
							>Take the {form.id} form out</Button
						>
					{/if}
				</fieldset>
			{/each}
			<p class="acts">
				{#each freeForms as form, index (index)}
					<Button kind="tertiary" size="small" on:click={() => addForm(form)}>Add a {form} form</Button>
				{/each}
			</p>
		</section>
		<section class="sheet" aria-labelledby="{id}-teach">
			<h2 id="{id}-teach">Teaching it</h2>
			{#each TEACHING as { key, label } (key)}
				<Words {label} rows={2} most={500} value={draft[key]} oninput={(text) => set({ [key]: text })} />
			{/each}
		</section>
		<section class="sheet" aria-labelledby="{id}-care">
			<h2 id="{id}-care">Cautions</h2>
			<p class="quiet">
				Cautions that follow from the angles are added automatically. Each one needs a movement to give
				instead.
			</p>
			{#each draft.cautions as care, index (index)}
				<fieldset>
					<legend>{care.caution}</legend>
					<Words
						label="Advice"
						most={300}
						value={care.advice}
						oninput={(text) => setCare(care.caution, { advice: text })}
					/>
					<Choice
						label="Instead"
						value={care.instead}
						options={catalogue.map(({ slug, english }) => ({ value: slug, text: english }))}
						onpick={(instead) => setCare(care.caution, { instead })}
					/>
					<Button
						kind="tertiary"
						size="small"
						on:click={() => set({ cautions: without(draft.cautions, care) })}>Remove it</Button
					>
				</fieldset>
			{/each}
			<CautionPicker
				label="Add a caution"
				taken={draft.cautions.map(({ caution }) => caution)}
				onpick={(caution) =>
					set({
						cautions: [...draft.cautions, { caution, advice: '', instead: 'constructive-rest', okIn: [] }]
					})}
			/>
		</section>
	</div>
	<aside class="sheet">
		<h2>Preview</h2>
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
		flex-wrap: wrap;
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
