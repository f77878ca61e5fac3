import { clock } from '../../clock';
import { formFacts, formOf } from '../../movement';
import { itemsAsDone, SECTION_KINDS, setsOf, type Block, type ClassPlan, type SectionKind } from '../../plan';
import { loadOfBlock } from '../pool/options';
import type { Candidate } from './candidates';
import { traitsOf, type Kinds } from '../model';
import { stationOf } from '../pool/stations';
import type { ProposeContext } from '../pool/types';
import { secondsOfUnit, type DraftItem, type Unit } from './draft';
import { episodesOf } from './ways';
import type { Story } from './story';

/** Blocks that are already in the class and stay unchanged. */
export interface Keep {
	/** Blocks with items, by part. */
	units: Record<SectionKind, readonly Unit[]>;
	/** Seconds of these blocks. */
	unitSeconds: number;
	/** Words and tests: before which of the kept blocks of their part they stand. */
	fixed: readonly { kind: SectionKind; before: number; block: Block }[];
	/** Seconds of words and tests. */
	fixedSeconds: number;
	/** Parts in which nothing may be put. */
	closed: ReadonlySet<SectionKind>;
}

/** Reads what stands in a plan already. */
export function keepOf(
	base: ClassPlan,
	only: readonly SectionKind[] | undefined,
	context: ProposeContext,
	kinds: Kinds,
	story: Story
): Keep {
	const units = Object.fromEntries(SECTION_KINDS.map((kind) => [kind, [] as Unit[]])) as Record<
		SectionKind,
		Unit[]
	>;
	const fixed: { kind: SectionKind; before: number; block: Block }[] = [];
	for (const { kind, blocks } of base.sections)
		for (const block of blocks) {
			if (block.kind === 'talk' || block.kind === 'test')
				fixed.push({ kind, before: units[kind].length, block });
			else units[kind].push(unitOf(block, base, context, kinds));
		}
	// one episode for all of the build that is there, so that its order stays
	const theme = nearestTheme(units.build, story);
	units.build = units.build.map((unit) => ({ ...unit, theme }));
	const bare: ClassPlan = {
		...base,
		sections: base.sections.map((section) => ({
			...section,
			blocks: section.blocks.filter((block) => fixed.some((own) => own.block === block))
		}))
	};
	return {
		units,
		unitSeconds: Object.values(units)
			.flat()
			.reduce((sum, unit) => sum + secondsOfUnit(unit), 0),
		fixed,
		fixedSeconds: fixed.length ? clock(bare, context.find, context.pace).totalSeconds : 0,
		closed: new Set(only ? SECTION_KINDS.filter((kind) => !only.includes(kind)) : [])
	};
}

/** The theme that serves most of the purposes of some blocks. */
function nearestTheme(units: readonly Unit[], { themes }: Story): number {
	const purposes = units.flatMap(({ parts }) =>
		parts.flatMap(({ candidate }) => candidate.traits.movement.purposes)
	);
	const shared = themes
		.slice(0, episodesOf(themes.length))
		.map((theme) => purposes.filter((p) => theme.purposes.includes(p)).length);
	return Math.max(0, shared.indexOf(Math.max(...shared)));
}

function unitOf(block: Block, base: ClassPlan, context: ProposeContext, kinds: Kinds): Unit {
	const load = loadOfBlock(base, block, context);
	const items = itemsAsDone(block);
	const each = 1 / Math.max(1, items.length);
	const parts = items.map((item): DraftItem => {
		const movement = context.find(item.movement)!;
		const form = formOf(movement, item.form)!;
		const candidate: Candidate = {
			option: null,
			traits: traitsOf(movement, form, item.mode, kinds),
			station: stationOf(movement, form),
			sections: new Set(),
			amount: item.dose.amount,
			// its share of the block
			workSeconds: each * load.workSeconds,
			seconds: each * (load.workSeconds + load.aroundSeconds),
			sets: 1,
			// it stays, whoever does something else
			besideShare: 0,
			mayPeak: true,
			belowThem: false,
			onOneLeg: formFacts.isOnOneLeg(formFacts.givenForm(movement, form, item.mode)),
			load
		};
		return { candidate, sets: setsOf(item.dose) };
	});
	return { parts, theme: null, rank: null, kept: block };
}
