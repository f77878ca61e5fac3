import { isSymmetrical } from '../../anatomy';
import { clock } from '../../clock';
import { fit } from '../../fit';
import { FORM_IDS, formOf, type Form, type Movement } from '../../movement';
import { blocksOf, itemsIn, itemsOf, setsOf, type ClassPlan, type Item, type SectionKind } from '../../plan';
import { STRENGTH_FROM_EFFORT } from '../../rules';
import { demandOf, worthOf } from '../model';
import type { Option } from '../options';
import type { ProposeContext } from '../types';
import { given, Offer } from './offer';
import {
	effortOf,
	isReset,
	mended,
	onLength,
	replacement,
	touchable,
	withChanged,
	type Reading
} from './reading';

/** What a teacher may ask of a class that is there, as one edit. */
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

/** How far the mean effort of a class goes up or down; a tenth is felt. Common practice, no source. */
const HARDER = 1.12;
const EASIER = 0.85;
const QUIETER = 0.8;
/** A quieter class has so many of the items. */
const FEWER = 0.85;
/** So much more of the class on the feet. */
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
	setting: ProposeContext
): ChangedClass | null {
	const timeline = clock(plan, setting.find, setting.pace);
	const seconds = new Map<string, number>();
	for (const { itemId, phase, fromSeconds, toSeconds } of timeline.entries)
		if (itemId && phase === 'work') seconds.set(itemId, (seconds.get(itemId) ?? 0) + toSeconds - fromSeconds);
	const sections = new Map(
		blocksOf(plan).flatMap(({ block, section }) =>
			itemsIn(block).map(({ id }) => [id, section.kind] as const)
		)
	);
	const reading: Reading = {
		plan,
		setting,
		offer: new Offer(plan, setting),
		worth: (other) => worthOf(other, setting.find, setting.group, setting.pace).total,
		secondsOf: (id) => seconds.get(id) ?? 0,
		sectionOf: (id) => sections.get(id)!
	};
	const after = CHANGED_BY[change](reading);
	if (!after) return null;
	const settled = mended(onLength(after, setting), setting);
	const became = becameOf(plan, settled, setting);
	return became.length || settled.lengthSeconds !== plan.lengthSeconds ? { plan: settled, became } : null;
}

const CHANGED_BY: Record<ChangeId, (reading: Reading) => ClassPlan | null> = {
	harder: (reading) => byEffort(reading, HARDER),
	easier: (reading) => byEffort(reading, EASIER),
	quieter,
	'more standing': moreStanding,
	'fewer props': fewerProps,
	'ten minutes shorter': shorter,
	'no floor': noFloor,
	'who is here today': ({ plan, setting }) => (mended(plan, setting) === plan ? null : plan)
};

/** A form further or less far, sets more or fewer, item by item from the peak on, until the mean effort is there. */
function byEffort(reading: Reading, factor: number): ClassPlan | null {
	const { plan, setting, offer, secondsOf, sectionOf } = reading;
	const up = factor > 1;
	const wanted = factor * effortOf(plan, setting);
	const order: SectionKind[] = ['peak', 'build', 'warm'];
	const items = touchable(reading).sort(
		(a, b) => order.indexOf(sectionOf(a.id)) - order.indexOf(sectionOf(b.id))
	);
	const changes = new Map<string, Item>();
	const there = () => {
		const now = effortOf(onLength(withChanged(plan, changes), setting), setting);
		return up ? now >= wanted : now <= wanted;
	};
	for (const item of items) {
		const at = FORM_IDS.indexOf(item.form);
		const steps = offer
			.of(item.movement)
			.filter((option) => option.item!.mode === item.mode)
			.filter(({ item: other }) =>
				up ? FORM_IDS.indexOf(other!.form) > at : FORM_IDS.indexOf(other!.form) < at
			)
			.sort((a, b) => FORM_IDS.indexOf(a.item!.form) - FORM_IDS.indexOf(b.item!.form));
		const option = up ? steps[0] : steps.at(-1);
		const movement = setting.find(item.movement)!;
		const usualSets = movement.sets?.usual ?? 1;
		if (!up && setsOf(item.dose) > 1)
			changes.set(item.id, { ...item, dose: { ...item.dose, sets: setsOf(item.dose) - 1 } });
		else if (option) changes.set(item.id, given(option, item, secondsOf(item.id) / setsOf(item.dose), true));
		else if (up && setsOf(item.dose) < usualSets && sectionOf(item.id) !== 'warm')
			changes.set(item.id, {
				...item,
				dose: {
					...item.dose,
					sets: setsOf(item.dose) + 1,
					restSeconds: item.dose.restSeconds ?? movement.sets?.restSeconds ?? 15
				}
			});
		else continue;
		if (there()) break;
	}
	return changes.size ? withChanged(plan, changes) : null;
}

/** Single items that the class loses least by, one after another, while something is still to be taken. */
function without(reading: Reading, goesOn: (plan: ClassPlan) => boolean): ClassPlan {
	let now = reading.plan;
	while (goesOn(now)) {
		const single = blocksOf(now).filter(
			({ block, section }) =>
				block.kind === 'item' && !block.pinned && section.kind !== 'settle' && section.kind !== 'rest'
		);
		const [best] = single
			.filter(
				({ section }) => section.blocks.filter((b) => b.kind === 'item' || b.kind === 'chain').length > 1
			)
			.map(({ block }) => withChanged(now, new Map([[block.id, null]])))
			.map((plan) => ({ plan, worth: reading.worth(plan) }))
			.sort((a, b) => b.worth - a.worth);
		if (!best) break;
		now = best.plan;
	}
	return now;
}

/** Less to do, held longer: sets become one, what works hard in repetitions is held, and the rest has time. */
function quieter(reading: Reading): ClassPlan | null {
	const { plan, setting, offer, secondsOf } = reading;
	const wanted = QUIETER * effortOf(plan, setting);
	const changes = new Map<string, Item>();
	for (const item of touchable(reading)) {
		const { sets: _sets, restSeconds: _rest, ...once } = item.dose;
		const held = offer
			.of(item.movement)
			.filter(({ item: other }) => other!.mode === 'active' || other!.mode === 'passive')
			.sort(
				(a, b) =>
					demandOf(formOf(setting.find(item.movement)!, a.item!.form)!, a.item!.mode) -
					demandOf(formOf(setting.find(item.movement)!, b.item!.form)!, b.item!.mode)
			);
		if (setsOf(item.dose) > 1) changes.set(item.id, { ...item, dose: once });
		if (held[0] && item.mode !== 'passive' && reading.sectionOf(item.id) === 'build')
			changes.set(item.id, given(held[0], item, secondsOf(item.id), false));
		if (effortOf(onLength(withChanged(plan, changes), setting), setting) <= wanted) break;
	}
	const calmer = withChanged(plan, changes);
	const count = itemsOf(calmer).length;
	const fewer = without({ ...reading, plan: calmer }, (now) => itemsOf(now).length > FEWER * count);
	const left = effortOf(onLength(fewer, setting), setting);
	return left > wanted ? (byEffort({ ...reading, plan: fewer }, wanted / left) ?? fewer) : fewer;
}

const standingShare = (plan: ClassPlan, { find, pace }: ProposeContext): number => {
	const items = new Map(itemsOf(plan).map((item) => [item.id, find(item.movement)!.position]));
	let [standing, all] = [0, 0];
	for (const { itemId, phase, fromSeconds, toSeconds } of clock(plan, find, pace).entries) {
		if (phase !== 'work' || !itemId) continue;
		all += toSeconds - fromSeconds;
		if (items.get(itemId) === 'standing') standing += toSeconds - fromSeconds;
	}
	return all ? standing / all : 0;
};

function moreStanding(reading: Reading): ClassPlan | null {
	const { plan, setting, sectionOf } = reading;
	const wanted = standingShare(plan, setting) + MORE_STANDING;
	let now = plan;
	for (const item of touchable(reading)) {
		if (sectionOf(item.id) === 'warm' || setting.find(item.movement)!.position === 'standing') continue;
		if (standingShare(now, setting) >= wanted) break;
		now =
			replacement(
				reading,
				now,
				item,
				(other, _form, option) => other.position === 'standing' && option.item!.mode !== 'rest'
			) ?? now;
	}
	return now === plan ? null : now;
}

/** Every item without what has to be fetched: in another form, else another movement. Wall space is always there. */
function fewerProps(reading: Reading): ClassPlan | null {
	const { plan, setting, offer, secondsOf } = reading;
	const fetches = (form: Form) => form.props.some(({ kit }) => kit !== 'wall space');
	let now = plan;
	for (const item of itemsOf(plan)) {
		const movement = setting.find(item.movement)!;
		if (item.pinned || !fetches(formOf(movement, item.form)!)) continue;
		const asks = demandOf(formOf(movement, item.form)!, item.mode);
		const off = ({ item: other }: Option) =>
			Math.abs(demandOf(formOf(movement, other!.form)!, other!.mode) - asks);
		const [bare] = offer
			.of(item.movement)
			.filter(({ item: other }) => other!.mode === item.mode && !fetches(formOf(movement, other!.form)!))
			.sort((a, b) => off(a) - off(b));
		now = bare
			? withChanged(
					now,
					new Map([[item.id, given(bare, item, secondsOf(item.id) / setsOf(item.dose), true)]])
				)
			: (replacement(
					reading,
					now,
					item,
					(other, form, option) => !fetches(form) && option.sections.has(reading.sectionOf(item.id))
				) ?? now);
	}
	return now === plan ? null : now;
}

function shorter(reading: Reading): ClassPlan | null {
	const { plan, setting } = reading;
	const lengthSeconds = plan.lengthSeconds - SHORTER_SECONDS;
	if (lengthSeconds < SHORTEST_SECONDS) return null;
	const cut = { ...plan, lengthSeconds };
	return without(
		{ ...reading, plan: cut },
		(now) =>
			!fit(now, setting.find, setting.pace).ok &&
			clock(now, setting.find, setting.pace).totalSeconds > lengthSeconds
	);
}

/** Standing, on a chair and at the wall: what has no likeness there is left out. */
function noFloor(reading: Reading): ClassPlan | null {
	const { plan, setting, sectionOf } = reading;
	let now = plan;
	for (const item of itemsOf(plan)) {
		const movement = setting.find(item.movement)!;
		if (item.pinned || isOffFloor(movement, formOf(movement, item.form)!)) continue;
		const kind = sectionOf(item.id);
		const may = (other: Movement, form: Form, { item: given }: Option) => {
			if (!isOffFloor(other, form)) return false;
			// one arrives, lets go and ends in something easy
			const calm = form.intensity <= (kind === 'release' ? 2 : 1) && form.effort < STRENGTH_FROM_EFFORT;
			if (kind === 'settle' || kind === 'rest')
				return calm && isSymmetrical(other.action) && given!.mode !== 'dynamic';
			if (kind === 'release') return calm;
			return given!.mode !== 'rest' || isReset(movement);
		};
		now = replacement(reading, now, item, may) ?? withChanged(now, new Map([[item.id, null]]));
	}
	return now === plan ? null : now;
}

/** Standing, or on a chair, and not on the way down. */
const isOffFloor = ({ position, purposes }: Movement, { props }: Form): boolean =>
	!purposes.includes('getting down and up') &&
	(position === 'standing' || (position === 'seated' && props.some(({ kit }) => kit === 'chair')));

/** What became of each item that is no longer as it was, but for its dose. */
function becameOf(before: ClassPlan, after: ClassPlan, { find }: ProposeContext): ChangedClass['became'] {
	const now = new Map(itemsOf(after).map((item) => [item.id, item]));
	const words = ({ movement, form, dose }: Item) =>
		`${find(movement)?.english ?? movement}, ${form}${setsOf(dose) > 1 ? `, ${setsOf(dose)} sets` : ''}`;
	const there = new Set(itemsOf(before).map(({ id }) => id));
	return [
		...itemsOf(before).flatMap((item): ChangedClass['became'] => {
			const own = now.get(item.id);
			const was = words(item);
			if (!own) return [{ itemId: item.id, was, now: null }];
			return words(own) === was ? [] : [{ itemId: item.id, was, now: words(own) }];
		}),
		...[...now.values()]
			.filter(({ id }) => !there.has(id))
			.map((item) => ({ itemId: item.id, was: 'nothing', now: words(item) }))
	];
}
