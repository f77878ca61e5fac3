import { isSymmetrical } from '../anatomy';
import { formOf, usualUnitSeconds, type FindMovement } from '../movement';
import { schemaFaults, type Fault } from '../validation';
import { middleOf, rangeOf, setsOf } from './dose';
import { PLAN_LIMITS } from './limits';
import { planSchema } from './schema';
import type { Block, ClassPlan, Flow, Item } from './types';
import { blocksOf, isLinked, itemsOf } from './walk';

/**
 * Everything wrong with a plan from outside: its shape first, then whether the catalogue knows what it
 * names and no dose is nonsense. A dose that is not usual is no fault: a check speaks of it. Empty: it can be used as a {@link ClassPlan}.
 */
export function planFaults(value: unknown, find: FindMovement): Fault[] {
	if (typeof value !== 'object' || value === null || Array.isArray(value))
		return [{ path: '', message: 'a plan is an object' }];
	const shape = schemaFaults(planSchema, value);
	if (shape.length) return shape;
	const plan = value as ClassPlan;
	const blocks = blocksOf(plan);
	const faults: Fault[] = [];
	if (blocks.length > PLAN_LIMITS.blocks)
		faults.push({
			path: 'sections',
			message: `${blocks.length} blocks; at most ${PLAN_LIMITS.blocks} are allowed`
		});
	const items = itemsOf(plan).length;
	if (items > PLAN_LIMITS.items)
		faults.push({
			path: 'sections',
			message: `${items} items; at most ${PLAN_LIMITS.items} are allowed`
		});
	const steps = blocks.reduce((sum, { block: b }) => sum + (b.kind === 'flow' ? stepsOf(b) : 0), 0);
	if (steps > PLAN_LIMITS.flowSteps)
		faults.push({
			path: 'sections',
			message: `the rounds of all flows make ${steps} steps; at most ${PLAN_LIMITS.flowSteps} are allowed`
		});
	return [
		...faults,
		...idFaults(plan),
		...plan.sections.flatMap((section, s) =>
			section.blocks.flatMap((b, i) => blockFaults(b, `sections[${s}].blocks[${i}]`, find))
		)
	];
}

const stepsOf = ({ items, rounds, sides }: Flow) => items.length * rounds * (sides === 'mirror' ? 2 : 1);

function idFaults(plan: ClassPlan): Fault[] {
	const seen = new Set<string>();
	const faults: Fault[] = [];
	const see = (what: string, path: string) => {
		if (seen.has(what)) faults.push({ path, message: `the id "${what}" is used twice` });
		seen.add(what);
	};
	plan.sections.forEach((section, s) => {
		see(`section ${section.id}`, `sections[${s}].id`);
		section.blocks.forEach((b, i) => {
			see(b.id, `sections[${s}].blocks[${i}].id`);
			if (isLinked(b))
				b.items.forEach((item, n) => see(item.id, `sections[${s}].blocks[${i}].items[${n}].id`));
		});
	});
	return faults;
}

function blockFaults(b: Block, path: string, find: FindMovement): Fault[] {
	if (b.kind === 'item') return itemFaults(b, path, find);
	if (!isLinked(b)) return [];
	const movements = b.items.map((item) => find(item.movement));
	const nothingToMirror = b.kind === 'chain' && movements.every((m) => m && isSymmetrical(m.action));
	return [
		...(nothingToMirror
			? [{ path, message: 'a chain needs at least one movement with sides; all of these are symmetrical' }]
			: []),
		...b.items.flatMap((item, n) => itemFaults(item, `${path}.items[${n}]`, find))
	];
}

function itemFaults(item: Item, path: string, find: FindMovement): Fault[] {
	const movement = find(item.movement);
	if (!movement)
		return [{ path: `${path}.movement`, message: `the catalogue has no movement "${item.movement}"` }];
	const form = formOf(movement, item.form);
	if (!form) return [{ path: `${path}.form`, message: `${item.movement} has no ${item.form} form` }];
	const faults: Fault[] = [];
	const range = rangeOf(item, movement, form);
	const { dose } = item;
	const seconds = setsOf(dose) * middleOf(dose) * usualUnitSeconds(range, item.mode);
	if (seconds > PLAN_LIMITS.sideSeconds)
		faults.push({
			path: `${path}.dose`,
			message: `${middleOf(dose)} ${range.unit} are over an hour on one side`
		});
	if (item.dose.moreOn && isSymmetrical(movement.action))
		faults.push({ path: `${path}.dose.moreOn`, message: `${item.movement} has no sides` });
	return faults;
}
