import type { DoseUnit } from '../movement';
import { explainedBefore, paceChangesFrom2 } from '../pace';
import { eachIn, isObject, type DocumentKind, type Json } from '../validation';
import { changedByNoHand } from './content';
import { planSchema } from './schema';
import type { ClassPlan } from './types';
import { UNIT_BEFORE_3 } from './units-before-3';

/**
 * A class plan as it is kept. 2: only the figures that were set for this class by hand; the rest is the teacher's pace.
 * 3: doses with all their parts, in flows too; explaining is part of the set-up; some movements go by turns.
 */
export const PLAN: DocumentKind = {
	name: 'class',
	schema: planSchema,
	steps: [
		({ pace, ...plan }) => (pace === undefined || isEmpty(pace) ? plan : { ...plan, pinnedPace: pace }),
		(plan) => {
			const pinned = isObject(plan.pinnedPace) ? plan.pinnedPace : {};
			const explained = explainedBefore(pinned.talk);
			return {
				...eachIn(plan, 'sections', (section) =>
					eachIn(section, 'blocks', (block) => blockFrom2(block, explained))
				),
				...(isObject(plan.pinnedPace) ? { pinnedPace: paceChangesFrom2(plan.pinnedPace) } : {})
			};
		}
	],
	// an upgrade is no change by hand
	afterSteps: (before, after) =>
		hasSections(before) && hasSections(after) ? { ...changedByNoHand(before, after) } : after
};

const hasSections = (document: Json): document is Json & ClassPlan =>
	Array.isArray(document.sections) && document.sections.every(isObject);
const isEmpty = (value: unknown) => isObject(value) && Object.keys(value).length === 0;

/** Movements with sides that version 2 gave one side after the other, and version 3 by turns. */
const BY_TURNS_SINCE_3: ReadonlySet<unknown> = new Set([
	'chair-knee-lift',
	'deep-squat-knee-turn',
	'down-dog-hip-drop',
	'goddess-side-bend',
	'lizard-crawl',
	'pigeon-switch',
	'side-lunge-shift',
	'supine-march',
	'warrior-2-shift',
	'wide-leg-twist-tap',
	'wide-stance-sway'
]);

/** Seconds of getting into a shape in version 2, where nothing else was said. */
const SET_UP_BEFORE_3 = 3;

function blockFrom2(block: Json, explained: number): Json {
	if (block.kind === 'item') return itemFrom2(block, explained);
	if (block.kind === 'chain') return eachIn(block, 'items', (item) => itemFrom2(item, explained));
	if (block.kind !== 'flow') return block;
	const { breathsEach, ...flow } = block;
	return eachIn(flow, 'items', (item) => {
		if (breathsEach === undefined) return itemFrom2(item, explained, 'in a flow');
		const { dose: _own, unit: _unit, moreOn: _more, ...rest } = item;
		return {
			...withSetUp(rest, explained),
			dose: { amount: breathsEach, unit: 'breaths', byBreath: true }
		};
	});
}

function itemFrom2({ dose, unit, moreOn, ...item }: Json, explained: number, where?: 'in a flow'): Json {
	const more = isObject(moreOn) ? { leg: moreOn.leg, amount: moreOn.dose } : moreOn;
	const rest = withSetUp(item, explained);
	const was = unit ?? unitBefore3(item);
	const counted = was === undefined ? {} : { unit: was };
	if (BY_TURNS_SINCE_3.has(item.movement) && typeof dose === 'number' && !item.oneSided && !where) {
		const extra = isObject(more) && typeof more.amount === 'number' ? more.amount : 0;
		return { ...rest, dose: { amount: 2 * dose + extra, ...counted } };
	}
	return {
		...rest,
		...(BY_TURNS_SINCE_3.has(item.movement) ? { byTurns: false } : {}),
		...(typeof dose === 'number'
			? { dose: { amount: dose, ...counted, ...(more === undefined ? {} : { moreOn: more }) } }
			: dose === undefined
				? {}
				: { dose })
	};
}

/** Returns the unit in which version 2 counted the amount of an item, where the catalogue counts another unit today. */
function unitBefore3({ movement, mode, form }: Json): DoseUnit | undefined {
	const inMode = `${String(movement)} ${String(mode)}`;
	const own = [inMode, `${inMode} ${String(form)}`].find((key) => Object.hasOwn(UNIT_BEFORE_3, key));
	return own === undefined ? undefined : UNIT_BEFORE_3[own];
}

/** Seconds pinned for getting into a shape and for explaining it are one figure. */
function withSetUp(item: Json, explained: number): Json {
	if (!isObject(item.phases)) return item;
	const { setUp, explain, ...others } = item.phases;
	if (setUp === undefined && explain === undefined) return item;
	if (typeof (setUp ?? 0) !== 'number' || typeof (explain ?? 0) !== 'number') return item;
	const seconds = Number(setUp ?? SET_UP_BEFORE_3) + Number(explain ?? explained);
	return { ...item, phases: { ...others, setUp: seconds } };
}
