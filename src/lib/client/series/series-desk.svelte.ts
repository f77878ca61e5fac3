import { CATALOGUE } from '$lib/catalogue';
import { dayName } from '$lib/core/calendar';
import {
	balanceBars,
	classRing,
	ladderLines,
	loadLines,
	seriesShifts,
	tissueCells,
	weekCards,
	type SeriesShift
} from '$lib/core/view-models';
import { catalogueView, type FindMovement, type FormId, type Movement } from '$lib/core/movement';
import type { ClassNotes, ClassRecords } from '$lib/core/record';
import { slugsOf } from '$lib/core/plan';
import {
	cancelClass,
	ladderOffers,
	ladderTo,
	withGoals,
	type Ladder,
	type LadderOffer,
	rescheduleClass,
	analyseSeries,
	atLength,
	renewable,
	sameGoal,
	seriesFindings,
	waiting,
	weekInserted,
	withSettings,
	type Changed,
	type PlannedSeries,
	type ClassAnalysis,
	type SeriesDocument,
	type SeriesSettings,
	type Slot,
	type WeekTheme
} from '$lib/core/series';
import { styleOf } from '$lib/core/style';
import { writeDown } from '../saving/write-down';
import { DocumentSession, type Saving } from '../saving/document-session.svelte';
import { newId } from '../page/ids';
import { proposeInto, type Proposed, type SeriesDeskContext } from './proposing.svelte';

/** A change that is shown before it is taken. */
export interface PendingChange {
	title: string;
	choices: { label: string; after: PlannedSeries; shifts: SeriesShift[] }[];
}

/** The state of the series page: one series with its plans, its history, and all that is worked out from it. */
export class SeriesDesk {
	selected = $state<string | null>(null);
	/** How far a proposing is, and how to stop it. */
	proposing = $state.raw<{ done: number; of: number; stop: () => void } | null>(null);
	pending = $state.raw<PendingChange | null>(null);

	readonly catalogue;
	/** Movements that can be chosen, by name. */
	readonly movements: readonly Movement[];
	private readonly within;

	/** Records of its classes, each with its version: saved at once, and not part of undo. */
	private runs = $state.raw<ClassRecords>({});
	private runVersions: Record<string, number>;

	/** The document that is edited and saved. */
	readonly session: DocumentSession<SeriesDocument>;
	readonly document = $derived.by(() => this.session.document);
	readonly planned = $derived<PlannedSeries>({ ...this.document, runs: this.runs });
	readonly series = $derived(this.planned.series);
	readonly analysis = $derived.by(() => this.read(this.planned));
	readonly findings = $derived(seriesFindings(this.analysis));
	readonly weeks = $derived(weekCards(this.analysis));
	readonly ring = $derived(classRing(this.analysis.orbit, this.analysis.balance));
	readonly ladders = $derived(ladderLines(this.analysis));
	/** Suggestions for ladders from the check-ins of the group. */
	readonly ladderOffers = $derived.by(() => ladderOffers(this.analysis, styleOf(this.context.style.choices)));
	readonly load = $derived(loadLines(this.analysis));
	readonly balance = $derived(balanceBars(this.analysis));
	readonly tissues = $derived(tissueCells(this.analysis));
	/** How many classes wait for a proposal, and how many could be made anew. */
	readonly waiting = $derived(waiting(this.analysis).length);
	readonly renewable = $derived(renewable(this.analysis).length);
	readonly class = $derived.by<ClassAnalysis | null>(
		() => this.analysis.classes.find((c) => c.class.id === this.selected) ?? null
	);
	readonly card = $derived.by(
		() => this.weeks.flatMap((week) => week.classes).find(({ id }) => id === this.selected) ?? null
	);

	/** Movements of the selected class, each once. */
	readonly inClass = $derived.by(() =>
		this.class?.plan ? slugsOf(this.class.plan).map((slug) => ({ slug, english: this.nameOf(slug) })) : []
	);
	constructor(
		{ runs, ...document }: PlannedSeries,
		runVersions: Readonly<Record<string, number>>,
		readonly context: SeriesDeskContext,
		saving: Saving<SeriesDocument>
	) {
		this.session = new DocumentSession<SeriesDocument>(document, saving);
		this.session.whenChanged(() => {
			this.pending = null;
			if (this.selected !== null && !this.series.classes.some(({ id }) => id === this.selected))
				this.selected = null;
		});
		this.runs = runs;
		this.runVersions = { ...runVersions };
		this.catalogue = catalogueView(CATALOGUE, context.own, context.leftOut, context.kept);
		this.movements = [...this.catalogue.offered].sort((a, b) => a.english.localeCompare(b.english, 'en'));
		this.within = {
			group: context.group,
			find: this.catalogue.find,
			catalogue: this.catalogue.offered,
			knownBefore: context.knownBefore,
			pace: context.style.pace
		};
	}

	/** Looks up the movements that the series and its plans may name. */
	get find(): FindMovement {
		return this.catalogue.find;
	}

	nameOf(slug: string): string {
		return this.catalogue.find(slug)?.english ?? slug;
	}

	private read(planned: PlannedSeries) {
		return analyseSeries(planned, this.within);
	}

	/** Another state as one step; typing on in the same field is one step of undo. */
	set({ series, plans }: SeriesDocument, said = '', field = ''): void {
		if (series === this.document.series && plans === this.document.plans) return;
		this.session.change({ series, plans }, said, field);
	}

	say(message: string): void {
		this.session.message = message;
	}

	/** Other settings; where a planned class would lose its date by them, what changes is shown first. */
	settings(change: Partial<SeriesSettings>, said = '', field = ''): void {
		const value = withSettings(this.planned, change, newId);
		const loses = Object.keys(this.planned.plans).some((id) => !value.plans[id]);
		if (loses) this.show('Fewer dates than planned classes', [['Take the new dates', { ok: true, value }]]);
		else this.set(value, said, field);
	}

	theme(week: number, change: { [K in keyof WeekTheme]?: WeekTheme[K] | undefined }, field = ''): void {
		const themes = Array.from(
			{ length: this.series.weeks },
			(_, i): WeekTheme => this.series.themes[i] ?? { words: '' }
		);
		const before = themes[week - 1];
		if (!before) return;
		const { more, purpose, toward, words } = { ...before, ...change };
		const next: WeekTheme = {
			words: words ?? '',
			...(more ? { more } : {}),
			...(purpose ? { purpose } : {}),
			...(toward ? { toward } : {})
		};
		this.settings({ themes: themes.with(week - 1, next) }, '', field);
	}

	addGoal(movement: string, form: FormId): void {
		const style = styleOf(this.context.style.choices);
		const ladder = ladderTo({ movement, form }, this.catalogue.find, this.context.group, style);
		if (!ladder) {
			this.say(
				`${this.nameOf(movement)} in the ${form} form is not for this group: a caution in the room speaks against it, or it is too much for every tier.`
			);
			return;
		}
		if (this.series.ladders.some((known) => sameGoal(known, ladder))) {
			this.say(`${this.nameOf(movement)} in the ${form} form is a goal of this series already.`);
			return;
		}
		this.goals([...this.series.ladders, ladder], `A ladder to ${this.nameOf(movement)}`);
	}

	private goals(ladders: Ladder[], said: string): void {
		const begun = this.analysis.classes.some(({ run }) => run);
		this.settings(withGoals(this.series, ladders, begun, this.catalogue.find), said);
	}

	removeGoal(index: number): void {
		this.goals(this.series.ladders.toSpliced(index, 1), 'Goal removed');
	}

	removeRung(ladder: number, rung: number): void {
		const { rungs } = this.series.ladders[ladder]!;
		if (rungs.length < 2) return;
		this.settings(
			{ ladders: this.series.ladders.with(ladder, { rungs: rungs.toSpliced(rung, 1) }) },
			'Rung removed'
		);
	}

	/** A ladder as a check-in speaks for it. */
	takeOffer({ ladder, rungs }: LadderOffer): void {
		this.settings(
			{ ladders: this.series.ladders.with(ladder, { rungs }) },
			'The ladder follows the check-in'
		);
	}

	/** Writes down how the selected class went; null takes it back. Whatever order classes are written down in. */
	async log(notes: ClassNotes | null): Promise<void> {
		const c = this.class?.class;
		if (!c) return;
		const version = this.runVersions[c.id] ?? 0;
		const { ok, said } = await writeDown(c.id, version, notes);
		this.say(said);
		if (!ok) return;
		const { [c.id]: _before, ...others } = this.runs;
		this.runs = notes
			? { ...others, [c.id]: { ...notes, planId: c.id, on: c.on, startsAt: c.startsAt } }
			: others;
		this.runVersions[c.id] = notes ? version + 1 : 0;
	}

	/** Shows the effect of cancelling a date on later classes, with two ways to end the series. */
	cancelDate(why: string): void {
		const c = this.class;
		if (!c) return;
		this.show(`${dayName(c.class.on)} is cancelled`, [
			[
				'Move later classes one date on, and add a date at the end',
				cancelClass(this.planned, c.class.id, why, 'one more date')
			],
			[
				'Move later classes one date on, and drop the last class',
				cancelClass(this.planned, c.class.id, why, 'let the last go')
			]
		]);
	}

	/** Moves a class; where others follow, what changes is shown first. */
	move(classId: string, to: Slot): void {
		const moved = rescheduleClass(this.planned, classId, to);
		if (!moved.ok) {
			this.say(`It was not moved: ${moved.message}.`);
			return;
		}
		const shifts = seriesShifts(this.analysis, this.read(moved.value));
		if (shifts.length > 1)
			this.show(`Moved to ${dayName(to.on)}`, [['Move it and the classes after it', moved]]);
		else this.set(moved.value, `Moved to ${dayName(to.on)}`);
	}

	insertWeek(before: number): void {
		const inserted = weekInserted(this.planned, before, newId);
		if (inserted.ok) this.set(inserted.value, `A week is inserted before week ${before}`);
		else this.say(`Not inserted: ${inserted.message}.`);
	}

	show(title: string, changes: [label: string, Changed][]): void {
		const possible = changes.flatMap(([label, change]) =>
			change.ok
				? [
						{
							label,
							after: change.value,
							shifts: seriesShifts(this.analysis, this.read(change.value))
						}
					]
				: []
		);
		const refused = changes.find(([, change]) => !change.ok)?.[1];
		if (possible.length) this.pending = { title, choices: possible };
		else if (refused && !refused.ok) this.say(`Not possible: ${refused.message}.`);
	}

	take(after: SeriesDocument): void {
		this.set(after, 'Taken');
	}

	/** Proposes the open classes, or all that were neither taught nor changed by hand, or one. */
	propose = (which: Proposed, seed: number): Promise<void> => proposeInto(this, which, seed);

	/** Brings the selected class to the length of the series; its content stays. */
	bringToLength(): void {
		const plan = this.class && atLength(this.class, this.analysis);
		if (!this.class || !plan) {
			this.say(
				'Its doses cannot give that length. Open the class and take something out or put something in.'
			);
			return;
		}
		const plans = { ...this.planned.plans, [this.class.class.id]: plan };
		this.set({ ...this.planned, plans }, 'Fitted to the length of the series');
	}

	selectNeighbour(step: -1 | 1): void {
		const ids = this.series.classes.map(({ id }) => id);
		const at = this.selected === null ? (step === 1 ? -1 : ids.length) : ids.indexOf(this.selected);
		this.selected = ids[Math.min(ids.length - 1, Math.max(0, at + step))] ?? null;
	}
}
