import { FORM_IDS, type FindMovement } from '../movement';
import { amountWords, itemsOf } from '../plan';
import { counted, sentence } from '../text';
import type { ClassAnalysis, SeriesAnalysis } from './analysis';
import { heightKey, heightsOf, type Height } from './heights';
import { progressIn, type Progress } from './progress';
import { metBeforeEach, rungOf } from './schedule';

/** One class of a series in words: what is further than before, and what the next one brings. */
export interface ClassLine {
	/** "Further: Split squat (3 sets). New: Lizard." */
	now: string;
	/** "Next: Low lunge, knee lifting (full form)." Empty for the last class. */
	next: string;
}

/** The most things that are named; more are not read. */
const MOST_NAMED = 3;

/** Returns the line of a class; null where it has no plan yet. */
export function classLine(analysis: SeriesAnalysis, c: ClassAnalysis): ClassLine | null {
	const { classes, context } = analysis;
	if (!c.plan) return null;
	const parts = c.easier ? easierWords(analysis, c) : grownWords(analysis, c);
	if (c.retest) parts.push('With the test.');
	const next = classes[c.number];
	return { now: parts.join(' '), next: next ? nextWords(c, next, analysis, context.find) : '' };
}

/** Returns the names of what a class brings that the group has not met, rests apart. */
function freshNames({ context, planned }: SeriesAnalysis, c: ClassAnalysis): string[] {
	const known = metBeforeEach(planned, context.knownBefore)[c.number - 1]!;
	const done = itemsOf(c.plan!).filter(({ mode, movement }) => mode !== 'rest' && !known.has(movement));
	return [...new Set(done.map(({ movement }) => context.find(movement)?.english ?? movement))];
}

/** Names the first of some movements: "New: Lizard; Clam and 3 more." */
function newWords(names: readonly string[]): string[] {
	if (names.length === 0) return [];
	const more = names.length - MOST_NAMED;
	const first = names.slice(0, MOST_NAMED).join('; ');
	return [`New: ${first}${more > 0 ? ` and ${more} more` : ''}.`];
}

/** Says what an easier class keeps; by hand it may bring something new all the same. */
function easierWords(analysis: SeriesAnalysis, c: ClassAnalysis): string[] {
	const fresh = freshNames(analysis, c);
	return fresh.length
		? ['Easier week.', ...newWords(fresh)]
		: ['Easier week: less of what is known, nothing new.'];
}

/** Says in which things an ordinary class goes further than the classes before it. */
function grownWords(analysis: SeriesAnalysis, c: ClassAnalysis): string[] {
	const { classes, context, planned } = analysis;
	const heights = heightsOf(c.plan!, context.find);
	const name = (slug: string) => context.find(slug)?.english ?? slug;
	const fresh = freshNames(analysis, c);
	if (c.number === 1 && context.knownBefore.length === 0)
		return [`A beginning with ${counted(fresh.length, 'movement')}.`];
	const onLadder = new Set(c.given.map((given) => rungOf(planned.series, given).movement));
	const weight = (one: Progress) =>
		2 * Number(onLadder.has(one.movement)) + Number(heights.get(heightKey(one))!.inPeak);
	const ups = progressIn(classes, c, context.find)
		.filter(({ way }) => way === 'up')
		.sort((a, b) => weight(b) - weight(a))
		.filter((one, i, all) => all.findIndex(({ movement }) => movement === one.movement) === i)
		.slice(0, MOST_NAMED)
		.map((one) => `${name(one.movement)} (${grown(one.what, heights.get(heightKey(one))!)})`);
	return [ups.length ? `Further: ${ups.join('; ')}.` : 'What is known is made sure.', ...newWords(fresh)];
}

function grown(what: Progress['what'], { form, sets, amount, unit }: Height): string {
	if (what === 'form') return `${FORM_IDS[form]} form`;
	if (what === 'sets') return `${sets} sets`;
	if (what === 'links') return 'in a chain';
	return amountWords({ amount }, unit);
}

/** Says which things a class brings that the one before it has not. */
function nextWords(
	c: ClassAnalysis,
	next: ClassAnalysis,
	{ planned: { series } }: SeriesAnalysis,
	find: FindMovement
): string {
	if (next.easier && !c.easier) return 'Next: an easier week.';
	const climbs = next.given.filter(
		(given) => !c.given.some(({ ladder, rung }) => ladder === given.ladder && rung === given.rung)
	);
	const rungs = climbs.map((given) => {
		const { movement, form } = rungOf(series, given);
		return `${find(movement)?.english ?? movement} (${form} form)`;
	});
	const theme = series.themes[next.class.week - 1]?.words.trim();
	const words = rungs.join('; ') || (theme ? sentence(theme) : '');
	return words ? `Next: ${words}.` : '';
}
