// Renders a class for somebody who reads it blind: who, kit, moment, length, and the running order. No titles, reasons or notes.
import { isSymmetrical } from '../../src/lib/core/anatomy';
import type { TimedItem } from '../../src/lib/core/clock';
import { kitName, kitWords, type Group } from '../../src/lib/core/group';
import { doseRange, type Mode, type Position } from '../../src/lib/core/movement';
import { setsOf, type Block, type ClassPlan } from '../../src/lib/core/plan';
import type { Analysis } from '../../src/lib/core/analysis';

const POSITION: Record<Position, string> = {
	standing: 'standing',
	kneeling: 'kneeling',
	quadruped: 'all fours',
	seated: 'seated',
	sidelying: 'on the side',
	prone: 'on the front',
	supine: 'on the back',
	'wall-supine': 'on the back, legs at the wall'
};
const MODE: Record<Mode, string> = {
	dynamic: 'moving',
	active: 'active hold',
	isometric: 'isometric hold',
	'press-and-ease': 'press and ease',
	passive: 'passive',
	rest: 'resting'
};
const clockTime = (seconds: number) =>
	`${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')}`.padStart(6);

/** Returns the text of a class. */
export function render(name: string, plan: ClassPlan, analysis: Analysis, group: Group): string {
	const { tiers, cautions, kit } = group;
	const lines = [
		`CLASS ${name}`,
		`Who: ${group.discipline || 'a mixed group'}, ${group.size} people`,
		`Tiers: ${tiers.tight} tight, ${tiers.middling} middling, ${tiers.open} open`,
		`Cautions: ${cautions.map(({ caution, people }) => `${caution} (${people})`).join(', ') || 'none'}`,
		`Kit in the room: ${kitWords(kit) || 'none'}`,
		`Moment: ${group.moment}`,
		`Length: about ${Math.round(plan.lengthSeconds / 60)} min`
	];
	const taught = new Map(analysis.context.items.map((one) => [one.item.id, one]));
	const starts = new Map<string, number>();
	for (const entry of analysis.timeline.entries)
		for (const id of [entry.itemId, entry.blockId])
			if (id !== null && !starts.has(id)) starts.set(id, entry.fromSeconds);
	for (const section of plan.sections) {
		if (!section.blocks.length) continue;
		lines.push('', section.kind.toUpperCase());
		for (const block of section.blocks) lines.push(...blockLines(block, taught, starts));
	}
	return `${lines.join('\n')}\n`;
}

function blockLines(
	block: Block,
	taught: ReadonlyMap<string, TimedItem>,
	starts: ReadonlyMap<string, number>
): string[] {
	const at = clockTime(starts.get(block.id) ?? 0);
	if (block.kind === 'talk') return [`${at}  words, ${block.seconds} s`];
	if (block.kind === 'test') return [`${at}  a test`];
	if (block.kind === 'item') {
		const lines = [`${at}  ${itemWords(taught.get(block.id)!)}`];
		if (block.noticeSeconds) lines.push(`        pause, ${block.noticeSeconds} s`);
		return lines;
	}
	const names = block.items.map(({ id }) => taught.get(id)!);
	if (block.kind === 'flow')
		return [
			`${at}  FLOW, ${block.rounds} rounds, moving with the breath, sides by turns`,
			...names.map(
				(one) => `         - ${one.movement.english} [${place(one)}; ${one.form.id} form${kitOf(one)}]`
			)
		];
	return [
		`${at}  CHAIN of ${names.length}: all of it on the first side, then on the second`,
		...names.map((one) => `        ${clockTime(one.startSeconds)}  - ${itemWords(one)}`)
	];
}

const place = ({ movement }: TimedItem) => POSITION[movement.position];
const kitOf = ({ form }: TimedItem) =>
	form.props.length
		? `; with ${form.props.map(({ kit, count }) => `${count} ${kitName(kit, count)}`).join(', ')}`
		: '';

function itemWords(one: TimedItem): string {
	const { item, movement, form } = one;
	const sided = !isSymmetrical(movement.action);
	const { dose } = item;
	const { unit } = doseRange(form, item.mode, dose.unit);
	const sets = setsOf(dose) > 1 ? `, ${setsOf(dose)} sets, ${dose.restSeconds ?? 0} s between` : '';
	const sides = movement.byTurns ? ' by turns' : sided ? ' each side' : '';
	const both = dose.bothWays ? ', each way' : '';
	const lead = sided ? `; ${item.lead} first` : '';
	return `${movement.english} [${place(one)}; ${form.id} form; ${MODE[item.mode]}; ${dose.amount} ${unit}${sides}${both}${sets}${lead}${kitOf(one)}]`;
}
