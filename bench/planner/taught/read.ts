import { USUAL_PACE } from '../../../src/lib/core/pace';
import { readdirSync, readFileSync } from 'node:fs';
import { findMovement } from '../../../src/lib/catalogue';
import { clock } from '../../../src/lib/core/clock';
import { MOMENTS, newGroup, PRESETS, type Group } from '../../../src/lib/core/group';
import { MODES, type FormId } from '../../../src/lib/core/movement';
import {
	HELD_UNITS,
	SECTION_KINDS,
	type Block,
	type ClassPlan,
	type Dose,
	type HeldUnit,
	type Item,
	type SectionKind
} from '../../../src/lib/core/plan';
import type { StyleChoices } from '../../../src/lib/core/style';
import { PlanWriter } from '../../../src/lib/demo/build';

/** A class that was written by hand as a good teacher would teach it, with the people it is for. */
export interface TaughtClass {
	name: string;
	/** The length that was asked for; the class itself lasts as long as it lasts. */
	minutes: number;
	group: Group;
	plan: ClassPlan;
}

const FOLDER = 'bench/planner/taught';
/** Classes of the planner of November 2026: lists of single exercises. */
const LISTS = 'bench/planner/lists';
const FORM: Record<string, FormId> = { s: 'supported', x: 'stronger', w: 'loaded' };
const ITEM =
	/^(?<slug>[a-z0-9-]+)(?: (?<form>[sxw]))?(?: (?<amount>\d+))?(?: in (?<mode>[a-z-]+))?(?: x(?<sets>\d+) rest (?<rest>\d+))?(?: keep (?<keep>\d+) (?<unit>counts|breaths|seconds))?(?<both> both)?(?:, notice (?<notice>\d+))?$/;

const classesIn = (folder: string): TaughtClass[] =>
	readdirSync(folder)
		.filter((file) => file.endsWith('.txt'))
		.sort()
		.map((file) => readTaught(file.replace('.txt', ''), readFileSync(`${folder}/${file}`, 'utf8')));

/** All of them, by name. */
export const taughtClasses = (): TaughtClass[] => classesIn(FOLDER);
/** Returns classes proposed by an earlier planner that knew no taught classes. */
export const listClasses = (): TaughtClass[] => classesIn(LISTS);

/**
 * Reads a class from its lines: `group PRESET, MOMENT, N minutes`; `style QUESTION SCHOOL`; the name of a part; `say N words`;
 * items as `slug [s|x|w] amount [in MODE] [x2 rest 15] [keep 3 breaths] [both], notice 10`; ` > ` makes a chain, `flow N: a | b` a flow.
 * @throws Error that names the class and the line
 */
export function readTaught(name: string, text: string): TaughtClass {
	const writer = new PlanWriter();
	let group: Group | undefined;
	let minutes = 0;
	const style: Record<string, string> = {};
	let section: SectionKind | undefined;
	for (const line of text
		.split('\n')
		.map((l) => l.trim())
		.filter(Boolean)) {
		const wrong = () => new Error(`${name}: "${line}" cannot be read`);
		const people = /^group (.+), (.+), (\d+) minutes$/.exec(line);
		const kind = SECTION_KINDS.find((known) => known === line);
		if (people) {
			const preset = PRESETS.find((known) => known === people[1]);
			const moment = MOMENTS.find((known) => known === people[2]);
			if (!preset || !moment) throw wrong();
			minutes = Number(people[3]);
			group = { ...newGroup(preset, name), moment, lengthSeconds: 60 * minutes, kit: ROOM };
		} else if (line.startsWith('style ')) {
			const [, question, school] = line.split(' ');
			style[question!] = school!;
		} else if (kind) section = kind;
		else if (section) writer.add(section, readBlock(writer, line, wrong));
		else throw wrong();
	}
	if (!group) throw new Error(`${name}: says nothing of its people`);
	const drawn = writer.plan(name, group.startsAt, 60 * minutes);
	const styled: ClassPlan = Object.keys(style).length ? { ...drawn, style: style as StyleChoices } : drawn;
	// it lasts as long as it lasts: a class is not judged here by the minute that was asked for
	const plan = { ...styled, lengthSeconds: clock(styled, findMovement, USUAL_PACE).totalSeconds };
	return { name, minutes, group: { ...group, lengthSeconds: plan.lengthSeconds }, plan };
}

/** A room with enough of everything for ten people. */
export const ROOM: Group['kit'] = {
	block: 24,
	blanket: 20,
	strap: 10,
	bolster: 10,
	cushion: 10,
	chair: 10,
	belt: 10,
	'wall space': 10
};

function readBlock(writer: PlanWriter, line: string, wrong: () => Error): Block {
	const words = /^say (\d+) (.+)$/.exec(line);
	if (words) return writer.talk(words[2]!, Number(words[1]));
	const flow = /^flow (\d+): (.+)$/.exec(line);
	if (flow) {
		const items = flow[2]!.split(' | ').map((part) => readItem(writer, part, wrong));
		return writer.flow(items, { rounds: Number(flow[1]) }, null);
	}
	const items = line.split(' > ').map((part) => readItem(writer, part, wrong));
	return items.length > 1 ? writer.chain(...items) : items[0]!;
}

function readItem(writer: PlanWriter, text: string, wrong: () => Error): Item {
	const part = ITEM.exec(text)?.groups;
	if (!part?.slug || !findMovement(part.slug)) throw wrong();
	const mode = MODES.find((known) => known === part.mode);
	const item = writer.item(part.slug, {
		...(mode ? { mode } : {}),
		form: part.form ? FORM[part.form]! : 'full',
		...(part.notice ? { notice: Number(part.notice) } : {})
	});
	const unit = HELD_UNITS.find((known): known is HeldUnit => known === part.unit);
	const dose: Dose = {
		...item.dose,
		...(part.amount ? { amount: Number(part.amount) } : {}),
		...(part.sets ? { sets: Number(part.sets), restSeconds: Number(part.rest) } : {}),
		...(part.keep && unit ? { lastHold: { amount: Number(part.keep), unit } } : {}),
		...(part.both ? { bothWays: true } : {})
	};
	return { ...item, dose };
}
