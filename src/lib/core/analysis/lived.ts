import { isSymmetrical } from '../anatomy';
import type { Finding, Severity } from '../checks';
import { formatDuration, type TimedItem } from '../clock';
import { amountTaking, doseRange, SITS_OUT, type FindMovement } from '../movement';
import { goesByTurns, modeIn, withItems, type ClassPlan, type Item } from '../plan';
import { isPeak } from '../rules';
import { doneBy, nameOfWho, othersIn, type DoneInstead, type Who } from '../substitution';
import { counted, listed } from '../text';
import { analysePlan, type Analysis } from './analysis';

/** One item as a kind of people do it. */
export interface LivedRow {
	itemId: string;
	atSeconds: number;
	/** The movement and the form of the room. */
	english: string;
	form: string;
	/** Theirs; null where it is the same. */
	own: { english: string; form: string; how: string } | null;
	/** Their clinician has to decide. */
	waits: boolean;
}

/** Something in their class that is not in the class of the room. */
export interface LivedFinding {
	severity: Severity;
	message: string;
}

/** A class as a kind of people live it: their own movements, forms and load, held to the same checks. */
export interface LivedClass {
	who: Who;
	people: number;
	plan: ClassPlan;
	analysis: Analysis;
	rows: LivedRow[];
	/** Items that they do in another way. */
	differing: number;
	/** Seconds of strength, theirs and the room's. */
	strengthSeconds: { own: number; room: number };
	/** Their most demanding item in the peak, and whether it is another one than the room's; null without a peak. */
	peak: { english: string; isOwn: boolean } | null;
	findings: LivedFinding[];
}

/** Checks of what a body goes through; the others are about the room, the kit and the time, which are the same for all. */
const BODY_CHECKS: ReadonlySet<string> = new Set([
	'both-sides',
	'warm-before-deep',
	'move-before-hold',
	'preparation-before-deep',
	'hold-too-long',
	'loaded-in-a-row',
	'dose-per-tissue',
	'heavy-before-light',
	'stretched-not-strengthened',
	'passive-share',
	'direction-short'
]);

/** Visits of one movement, and its share of the work, from which it is too much of one thing. Common practice, no source. */
const SAME_AGAIN = { visits: 4, share: 0.3 };
/** Less than this share of the strength of the room is too little; where the room has enough to speak of it. Common practice, no source. */
const STRENGTH = { leastShare: 0.6, fromSeconds: 120 };

/** Returns a class as each kind of people lives it who do something else in it than the room. */
export const livedClasses = (analysis: Analysis): LivedClass[] => {
	const { group, items, find } = analysis.context;
	if (!group) return [];
	return othersIn(group)
		.filter(({ who }) => !('caution' in who && SITS_OUT.has(who.caution)))
		.map(({ who, people }) => {
			const done = new Map(items.map((taught) => [taught.item.id, doneBy(taught, who, group, find)]));
			return livedClass(analysis, who, people, done);
		})
		.filter(({ differing }) => differing > 0);
};

function livedClass(
	room: Analysis,
	who: Who,
	people: number,
	done: ReadonlyMap<string, DoneInstead>
): LivedClass {
	const { context } = room;
	const plan = livedPlan(context.plan, context.items, done, context.find);
	// one person with what these people have: checks about the room have nothing to say
	const analysis = analysePlan(plan, { ...context, group: null }, BODY_CHECKS);
	const rows = context.items.map((taught) => rowOf(taught, done.get(taught.item.id)!));
	const strengthSeconds = {
		own: Math.round(analysis.orbit.strengthWorkSeconds),
		room: Math.round(room.orbit.strengthWorkSeconds)
	};
	const lived = {
		who,
		people,
		plan,
		analysis,
		rows,
		differing: rows.filter(({ own }) => own).length,
		strengthSeconds,
		peak: livedPeak(room.context.items, analysis.context.items)
	};
	return { ...lived, findings: [...ownFindings(lived), ...newFindings(room.findings, analysis.findings)] };
}

const rowOf = ({ item, movement, form, startSeconds }: TimedItem, own: DoneInstead): LivedRow => ({
	itemId: item.id,
	atSeconds: startSeconds,
	english: movement.english,
	form: form.id,
	own:
		own.movement === movement && own.form === form
			? null
			: { english: own.movement.english, form: own.form.id, how: own.form.how },
	waits: own.waits
});

/** Returns the plan with what a kind of people do at each item, as long as the room takes for it. */
function livedPlan(
	plan: ClassPlan,
	items: readonly TimedItem[],
	done: ReadonlyMap<string, DoneInstead>,
	find: FindMovement
): ClassPlan {
	const timed = new Map(items.map((taught) => [taught.item.id, taught]));
	const changed = (item: Item): Item => {
		const taught = timed.get(item.id);
		const own = done.get(item.id);
		return taught && own && find(own.movement.slug) ? itemOf(item, taught, own) : item;
	};
	return {
		...plan,
		sections: plan.sections.map((section) => ({
			...section,
			blocks: section.blocks.map((block) =>
				block.kind === 'item' ? changed(block) : 'items' in block ? withItems(block, changed) : block
			)
		}))
	};
}

function itemOf(item: Item, taught: TimedItem, { movement, form }: DoneInstead): Item {
	if (movement === taught.movement && form === taught.form) return item;
	const mode = modeIn(movement, form, item.mode);
	if (item.dose.byBreath) return { ...item, movement: movement.slug, form: form.id, mode };
	// a note, kit of one person and pauses belong to the item of the room
	const { oneSided, lead } = item;
	const own: Item = {
		kind: 'item',
		id: item.id,
		movement: movement.slug,
		form: form.id,
		mode,
		lead,
		dose: { amount: 1 },
		...(oneSided ? { oneSided } : {})
	};
	const isOnce = isSymmetrical(movement.action) || goesByTurns(own, movement) || oneSided;
	const amount = amountTaking(taught.workSeconds / (isOnce ? 1 : 2), doseRange(form, mode), mode);
	return { ...own, dose: { amount } };
}

/** The most intense of the room's peak, and what stands there in their class. */
function livedPeak(room: readonly TimedItem[], own: readonly TimedItem[]): LivedClass['peak'] {
	const peak = room
		.filter(({ section, form }) => section.kind === 'peak' && isPeak(form))
		.reduce<TimedItem | null>(
			(most, taught) => (most && most.form.intensity >= taught.form.intensity ? most : taught),
			null
		);
	const theirs = peak && own.find(({ item }) => item.id === peak.item.id);
	return theirs
		? { english: theirs.movement.english, isOwn: theirs.movement.slug !== peak.movement.slug }
		: null;
}

/** Findings that the class of the room has not. */
const newFindings = (room: readonly Finding[], own: readonly Finding[]): LivedFinding[] =>
	own
		.filter(
			(finding) => !room.some(({ checkId, cause }) => checkId === finding.checkId && cause === finding.cause)
		)
		.map(({ severity, message }) => ({ severity, message }));

/** Too much of one thing, and too little strength. */
function ownFindings({ analysis, rows, strengthSeconds }: Omit<LivedClass, 'findings'>): LivedFinding[] {
	const theirs = new Set(rows.filter(({ own }) => own).map(({ itemId }) => itemId));
	const visits = new Map<string, { english: string; times: number; seconds: number }>();
	let all = 0;
	for (const { item, movement, workSeconds } of analysis.context.items) {
		all += workSeconds;
		const known = visits.get(movement.slug) ?? { english: movement.english, times: 0, seconds: 0 };
		known.times += Number(theirs.has(item.id));
		known.seconds += theirs.has(item.id) ? workSeconds : 0;
		visits.set(movement.slug, known);
	}
	const again = [...visits.values()]
		.filter(
			({ times, seconds }) => times >= SAME_AGAIN.visits || (times > 1 && seconds > SAME_AGAIN.share * all)
		)
		.map(({ english, times, seconds }): LivedFinding => ({
			severity: 'fix',
			message: `${english} ${counted(times, 'time', 'times')}, ${formatDuration(seconds)} in all: give them something else in between.`
		}));
	const { own, room } = strengthSeconds;
	const weak = room >= STRENGTH.fromSeconds && own < STRENGTH.leastShare * room;
	return weak
		? [
				...again,
				{
					severity: 'fix',
					message: `${formatDuration(own)} of strength where the room has ${formatDuration(room)}: give them working forms.`
				}
			]
		: again;
}

/** Returns a class of a kind of people in a line: "sore knee (2): 5 of 14 items differ, their peak is Bridge and 1 thing to look at". */
export function livedInWords({ who, people, rows, differing, peak, findings }: LivedClass): string {
	const waits = rows.filter((row) => row.waits).length;
	return `${nameOfWho(who)} (${people}): ${listed(
		[
			`${differing} of ${counted(rows.length, 'item differs', 'items differ')}`,
			waits ? `${counted(waits, 'waits', 'wait')} for their clinician` : '',
			peak?.isOwn ? `their peak is ${peak.english}` : '',
			findings.length ? counted(findings.length, 'thing to look at', 'things to look at') : ''
		].filter(Boolean)
	)}`;
}
