import { isSymmetrical } from '../../anatomy';
import { clock, workSecondsOf } from '../../clock';
import { fit } from '../../fit';
import { FORM_IDS, formOf, setRestOf, type Form } from '../../movement';
import {
	blocksOf,
	findItem,
	itemsIn,
	itemsOf,
	setsOf,
	type Block,
	type ClassPlan,
	type Item,
	type Section,
	type SectionKind
} from '../../plan';
import { isReset, STRENGTH_FROM_EFFORT } from '../../rules';
import { mended, onTime } from '../pool/keeping';
import { demandOf } from '../model';
import { byDemand, inPlaceOf, type Offered } from '../pool/form-pool';
import type { ProposeContext } from '../pool/types';
import { ChangeTask, withItem } from './change-task';

/** Changes that a teacher may ask of an existing class, each one edit. */
export const CHANGES = [
	'harder',
	'easier',
	'quieter',
	'more standing',
	'fewer props',
	'ten minutes shorter',
	'no floor',
	'who is here today'
] as const;
export type ChangeId = (typeof CHANGES)[number];

export const CHANGE_WORDS: Record<ChangeId, string> = {
	harder: 'Make it harder',
	easier: 'Make it easier',
	quieter: 'Make it quieter',
	'more standing': 'More standing',
	'fewer props': 'Fewer props',
	'ten minutes shorter': 'Ten minutes shorter',
	'no floor': 'No floor today',
	'who is here today': 'For who is here today'
};

/** A class after a change, and what became of its items. */
export interface ChangedClass {
	plan: ClassPlan;
	/** In the order of the class: what stood there, and what stands there now; null where it is gone. */
	became: { itemId: string; was: string; now: string | null }[];
}

/**
 * How far the mean effort of a class should go up or down; a tenth is felt. Much of a class is no exertion (moving about, hanging,
 * rest), so that the forms there are may fall short of it. Common practice, no source.
 */
const HARDER = 1.12;
const EASIER = 0.85;
const QUIETER = 0.85;
/** Share of the items that a quieter class keeps. */
const FEWER = 0.85;
/** Share of the class that moves to standing. */
const MORE_STANDING = 0.15;
const SHORTER_SECONDS = 600;
/** The shortest class that is still cut. */
const SHORTEST_SECONDS = 900;

/**
 * A class that is there, changed as a teacher asks for, in as few of its items as it takes, at its length (or at the
 * shorter one); pinned items stay. Null where nothing can be changed that way.
 */
export function changedClass(
	plan: ClassPlan,
	change: ChangeId,
	context: ProposeContext
): ChangedClass | null {
	const after = CHANGED_BY[change](new ChangeTask(plan, context));
	if (!after) return null;
	const settled = mended(onTime(after, context), context);
	const became = becameOf(plan, settled, context);
	return became.length || settled.lengthSeconds !== plan.lengthSeconds ? { plan: settled, became } : null;
}

const CHANGED_BY: Record<ChangeId, (task: ChangeTask) => ClassPlan | null> = {
	harder: (task) => byEffort(task, HARDER),
	easier: (task) => byEffort(task, EASIER),
	quieter,
	'more standing': moreStanding,
	'fewer props': fewerProps,
	'ten minutes shorter': shorter,
	'no floor': noFloor,
	// items that do not suit the people who came are mended as in every change
	'who is here today': ({ plan }) => plan
};

/** The order in which items are made harder or easier. */
const FROM_PEAK: readonly SectionKind[] = ['peak', 'build', 'warm'];

/** A form further or less far, sets more or fewer, item by item from the peak on, until the mean effort is there. */
function byEffort(task: ChangeTask, factor: number): ClassPlan | null {
	const { plan } = task;
	const harder = factor > 1;
	const wanted = factor * task.effort(plan);
	const rank = (item: Item) => FROM_PEAK.indexOf(task.sectionOf(item));
	const isThere = (other: ClassPlan) =>
		harder ? task.effort(other) >= wanted : task.effort(other) <= wanted;
	const inOrder = task
		.touchable()
		.sort((a, b) => rank(a) - rank(b))
		.map(({ id }) => id);
	const toMend = task.toMend(plan);
	let now = plan;
	// a step for each, and a second one where that was not enough
	for (const id of [...inOrder, ...inOrder]) {
		const item = findItem(now, id)!;
		const changed = harder ? harderOf(item, task) : easierOf(item, task);
		if (!changed) continue;
		const next = withItem(now, id, changed);
		if (!task.keepsTime(next) || task.toMend(next) > toMend) continue;
		now = next;
		if (isThere(now)) break;
	}
	if (!harder && !isThere(now)) now = lightened(now, task, isThere);
	return now === plan ? null : now;
}

/** Leaves out single items, each of which the class is lighter without, until it is light enough. */
function lightened(plan: ClassPlan, task: ChangeTask, isThere: (plan: ClassPlan) => boolean): ClassPlan {
	const effort = task.effort(plan);
	return thinned(
		plan,
		task,
		(now) => !isThere(now),
		(less) => task.keepsTime(less) && task.effort(less) < effort
	);
}

const rankOf = ({ form }: Pick<Item, 'form'>) => FORM_IDS.indexOf(form);

/** The next form of an item, or one set more; null where there is neither. */
function harderOf(item: Item, task: ChangeTask): Item | null {
	const next = task.offer
		.of(item.movement, item.mode)
		.find(({ option }) => rankOf(option.item) > rankOf(item));
	if (next) return task.given(item, next);
	const { sets } = task.movementOf(item);
	if (setsOf(item.dose) >= (sets?.usual ?? 1) || task.sectionOf(item) === 'warm') return null;
	const restSeconds = item.dose.restSeconds ?? setRestOf(task.movementOf(item));
	return { ...item, dose: { ...item.dose, sets: setsOf(item.dose) + 1, restSeconds } };
}

/** One set fewer of an item, or the form before; null where there is neither. */
function easierOf(item: Item, task: ChangeTask): Item | null {
	if (setsOf(item.dose) > 1) return { ...item, dose: { ...item.dose, sets: setsOf(item.dose) - 1 } };
	const before = task.offer
		.of(item.movement, item.mode)
		.findLast(({ option }) => rankOf(option.item) < rankOf(item));
	return before ? task.given(item, before) : null;
}

/** Less to do, held longer: sets become one, what works in repetitions is held, and the rest has time. */
function quieter(task: ChangeTask): ClassPlan {
	const { plan, context, offer } = task;
	const wanted = QUIETER * task.effort(plan);
	let calmer = plan;
	for (const item of task.touchable()) {
		const { sets: _sets, restSeconds: _rest, ...once } = item.dose;
		const [held] = offer.of(item.movement, 'active', 'passive').sort((a, b) => demand(a) - demand(b));
		const isHeld = held && item.mode !== 'passive' && task.sectionOf(item) === 'build';
		if (!isHeld && setsOf(item.dose) === 1) continue;
		const next = withItem(
			calmer,
			item.id,
			isHeld ? inPlaceOf(item, held, task.secondsOfSet(item) * setsOf(item.dose)) : { ...item, dose: once }
		);
		if (!task.keepsTime(next)) continue;
		calmer = next;
		if (task.effort(calmer) <= wanted) break;
	}
	const count = itemsOf(calmer).length;
	const fewer = thinned(
		calmer,
		task,
		(now) => itemsOf(now).length > FEWER * count,
		(less) => task.keepsTime(less) && task.effort(less) <= task.effort(calmer)
	);
	const left = task.effort(fewer);
	return left > wanted
		? (byEffort(new ChangeTask(onTime(fewer, context), context), wanted / left) ?? fewer)
		: fewer;
}

const demand = ({ form, option }: Offered) => demandOf(form, option.item.mode);

/** Single items that the class loses least by are left out, one after another, while it is still too much. */
function thinned(
	plan: ClassPlan,
	task: ChangeTask,
	isTooMuch: (plan: ClassPlan) => boolean,
	may: (plan: ClassPlan) => boolean = () => true
): ClassPlan {
	let now = plan;
	while (isTooMuch(now)) {
		const inOrder = blocksOf(now)
			.filter(({ block, section }) => mayGo(block, section))
			.map(({ block }) => withItem(now, block.id, null))
			.filter(may)
			.map((less) => ({ less, worth: task.worth(less) }))
			.sort((a, b) => b.worth - a.worth);
		// rather one after which nothing more has to be mended: a preparation stays where it is the only one
		const toMend = task.toMend(now);
		const best = inOrder.find(({ less }) => task.toMend(less) <= toMend) ?? inOrder[0];
		if (!best) break;
		now = best.less;
	}
	return now;
}

/** Whether a block may be left out: a single item that is not pinned, of a part that is not empty without it. */
function mayGo(block: Block, { kind, blocks }: Section): boolean {
	if (block.kind !== 'item' || block.pinned || kind === 'settle' || kind === 'rest') return false;
	return blocks.filter((other) => itemsIn(other).length > 0).length > 1;
}

/** The share of the work that is on the feet. */
function standingShare({ plan, context: { find, pace } }: Pick<ChangeTask, 'plan' | 'context'>): number {
	const seconds = workSecondsOf(plan, find, pace);
	let [standing, all] = [0, 0];
	for (const { id, movement } of itemsOf(plan)) {
		all += seconds.get(id) ?? 0;
		if (find(movement)!.position === 'standing') standing += seconds.get(id) ?? 0;
	}
	return all ? standing / all : 0;
}

function moreStanding(task: ChangeTask): ClassPlan | null {
	const { plan, context } = task;
	const wanted = standingShare(task) + MORE_STANDING;
	let now = plan;
	// the warm-up last: it may stay down where the rest comes up
	const isWarm = (item: Item) => Number(task.sectionOf(item) === 'warm');
	for (const item of task.touchable().sort((a, b) => isWarm(a) - isWarm(b))) {
		if (task.movementOf(item).position === 'standing') continue;
		if (standingShare({ plan: now, context }) >= wanted) break;
		const stands = (other: Offered) =>
			other.movement.position === 'standing' && isOffFloor(other) && other.option.item.mode !== 'rest';
		now = task.replaced(now, item, stands) ?? now;
	}
	return now === plan ? null : now;
}

/** Every item without what has to be fetched: in another form, else another movement. Wall space is always there. */
function fewerProps(task: ChangeTask): ClassPlan | null {
	const { plan, offer } = task;
	const fetches = (form: Form) => form.props.some(({ kit }) => kit !== 'wall space');
	const toMend = task.toMend(plan);
	let now = plan;
	for (const item of itemsOf(plan)) {
		const movement = task.movementOf(item);
		if (item.pinned || !fetches(formOf(movement, item.form)!)) continue;
		const bare = offer.of(item.movement, item.mode).filter(({ form }) => !fetches(form));
		const [best] = byDemand(bare, item, movement);
		const next = best
			? withItem(now, item.id, task.given(item, best))
			: task.replaced(
					now,
					item,
					({ form, option }) => !fetches(form) && option.sections.has(task.sectionOf(item))
				);
		if (next && task.toMend(next) <= toMend) now = next;
	}
	return now === plan ? null : now;
}

function shorter(task: ChangeTask): ClassPlan | null {
	const { plan, context } = task;
	const lengthSeconds = plan.lengthSeconds - SHORTER_SECONDS;
	if (lengthSeconds < SHORTEST_SECONDS) return null;
	return thinned({ ...plan, lengthSeconds }, task, (now) => {
		const fitted = fit(now, context.find, context.pace);
		return !fitted.ok && clock(now, context.find, context.pace).totalSeconds > lengthSeconds;
	});
}

/** Standing, on a chair and at the wall: what has no likeness there is left out. */
function noFloor(task: ChangeTask): ClassPlan | null {
	const { plan } = task;
	let now = plan;
	for (const item of itemsOf(plan)) {
		const movement = task.movementOf(item);
		if (item.pinned || isOffFloor({ movement, form: formOf(movement, item.form)! })) continue;
		const may = (other: Offered) => isOffFloor(other) && suitsPart(other, item, task);
		now = task.replaced(now, item, may) ?? withItem(now, item.id, null);
	}
	return now === plan ? null : now;
}

/** Whether something may stand in the part of an item: one arrives, lets go and ends in something easy. */
function suitsPart({ movement, form, option }: Offered, item: Item, task: ChangeTask): boolean {
	const kind = task.sectionOf(item);
	const { mode } = option.item;
	const isCalmTo = (intensity: number) => form.intensity <= intensity && form.effort < STRENGTH_FROM_EFFORT;
	if (kind === 'release') return isCalmTo(2);
	if (kind === 'settle' || kind === 'rest')
		return isCalmTo(1) && isSymmetrical(movement.action) && mode !== 'dynamic';
	return mode !== 'rest' || isReset(task.movementOf(item));
}

/** Standing, or on a chair, and not on the way down. */
const isOffFloor = ({
	movement: { position, purposes },
	form
}: Pick<Offered, 'movement' | 'form'>): boolean =>
	!purposes.includes('getting down and up') &&
	(position === 'standing' || (position === 'seated' && form.props.some(({ kit }) => kit === 'chair')));

/** Returns the new state of each item that changed in more than its dose. */
function becameOf(before: ClassPlan, after: ClassPlan, { find }: ProposeContext): ChangedClass['became'] {
	const now = new Map(itemsOf(after).map((item) => [item.id, item]));
	const words = ({ movement, form, dose }: Item) =>
		`${find(movement)?.english ?? movement}, ${form}${setsOf(dose) > 1 ? `, ${setsOf(dose)} sets` : ''}`;
	const there = new Map(itemsOf(before).map((item) => [item.id, item]));
	return [...new Set([...there.keys(), ...now.keys()])]
		.map((itemId) => {
			const [was, then] = [there.get(itemId), now.get(itemId)];
			return { itemId, was: was ? words(was) : 'nothing', now: then ? words(then) : null };
		})
		.filter(({ was, now }) => was !== now);
}
