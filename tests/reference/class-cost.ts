import { likeness } from '../../src/lib/core/substitution';
import { DIRECTIONS, type Tissue } from '../../src/lib/core/anatomy';
import type { TimedItem } from '../../src/lib/core/clock';
import { MUSCLE_TISSUES, analysePlan } from '../../src/lib/core/checks';
import { actionOf, type Mode } from '../../src/lib/core/movement';
import { rangeSeconds } from '../../src/lib/core/orbit';
import {
	goesByTurns,
	rangeInStyle,
	SECTION_KINDS,
	type ClassPlan,
	type SectionKind
} from '../../src/lib/core/plan';
import type { CostParts, ProposeContext } from '../../src/lib/core/propose';
import { lostSeconds } from '../../src/lib/core/ordering';
import { styleOf } from '../../src/lib/core/style';

/**
 * The objective of docs/planner.md, written down a second time from the document and worked out of the finished plan by
 * the desk's own clock, orbit and order. It shares no code with the search that it judges, but two measures with it: how
 * alike two movements are (`likeness`, against worked examples in substitution.test.ts) and the seconds lost between
 * blocks (`lostSeconds`, against HiGHS in ordering.test.ts). A fault in those would not show here. For plans of single
 * items.
 * `mostEffort`: what a series allows (0-10). `fillable`: the parts for which there is anything at all, `deepest` the most intensity that may stand in the peak.
 */
export function classCost(
	plan: ClassPlan,
	setting: ProposeContext,
	{
		fillable,
		deepest,
		mostEffort = Infinity,
		lengthen = []
	}: {
		fillable: ReadonlySet<SectionKind>;
		deepest: number;
		mostEffort?: number;
		lengthen?: readonly Tissue[];
	}
): CostParts {
	const { timeline, orbit, context } = analysePlan(plan, setting, NO_CHECKS);
	const items = context.items;
	const length = plan.lengthSeconds;
	const hundredths = (seconds: number) => (100 * seconds) / length;
	const outside = (part: number, whole: number, band: { minPercent: number; maxPercent: number }) =>
		Math.max(0, (band.minPercent / 100) * whole - part, part - (band.maxPercent / 100) * whole);

	const parts: CostParts = { balance: 0, flow: 0, variety: 0, shape: 0, arc: 0, dose: 0, rules: 0 };
	for (const d of DIRECTIONS)
		parts.balance += hundredths(
			outside(rangeSeconds(orbit, d), orbit.rangeTotalSeconds, setting.targets.directions[d])
		);
	parts.balance +=
		0.5 * hundredths(outside(orbit.strengthWorkSeconds, orbit.workSeconds, setting.targets.strength));
	parts.flow += 0.04 * lostSeconds(plan, setting.find);

	for (const [i, a] of items.entries())
		for (const b of items.slice(0, i)) {
			if (a.movement.slug === b.movement.slug) parts.variety += 12;
			else if (!resting(a) && !resting(b))
				parts.variety += 9 * Math.max(0, alike(a, b) - 0.7, alike(b, a) - 0.7);
		}

	const wanted = { settle: 6, warm: 18, build: 34, peak: 16, release: 16, rest: 10 };
	for (const kind of SECTION_KINDS) {
		const ids = plan.sections.filter((s) => s.kind === kind).map((s) => s.id);
		const seconds = timeline.entries
			.filter((e) => ids.includes(e.sectionId))
			.reduce((sum, e) => sum + e.toSeconds - e.fromSeconds, 0);
		const percent = (100 * seconds) / Math.max(1, timeline.totalSeconds);
		parts.shape += 0.25 * Math.max(0, Math.abs(percent - wanted[kind]) - 2);
		if (seconds === 0 && fillable.has(kind)) parts.rules += 20;
	}

	const intensities = items.map(({ form }) => form.intensity);
	const inPeak = items.filter(({ section }) => section.kind === 'peak').map(({ form }) => form.intensity);
	const peak = Math.max(0, ...inPeak);
	if (peak < Math.max(0, ...intensities)) parts.arc += 3;
	parts.arc += 1.5 * Math.max(0, Math.min(4, deepest) - peak);

	// a second of rest is nothing, of hanging its intensity, of own work twice that, of anything else 1
	let effort = 0;
	for (const { phase, itemId, fromSeconds, toSeconds } of timeline.entries) {
		const taught = items.find(({ item }) => item.id === itemId);
		const rate =
			phase !== 'work' || !taught
				? 1
				: resting(taught)
					? 0
					: taught.form.intensity * (works(taught.item.mode) ? 2 : 1);
		effort += rate * (toSeconds - fromSeconds);
	}
	parts.rules += 80 * Math.max(0, effort / Math.max(1, timeline.totalSeconds) - mostEffort);

	// held long on one leg, side by side: the clock says which leg is where
	const heldLong = (tissue: Tissue, counts: (mode: Mode) => boolean) => {
		const held = { left: 0, right: 0 };
		for (const { phase, itemId, legs, fromSeconds, toSeconds } of timeline.entries) {
			const taught = items.find(({ item }) => item.id === itemId);
			if (phase !== 'work' || !taught || !counts(taught.item.mode)) continue;
			const action = actionOf(taught.movement, taught.form);
			for (const leg of ['left', 'right'] as const) {
				const own = 'both' in action ? action.both : action[legs?.[leg] === 'trail' ? 'trail' : 'lead'];
				if (own.lengthens.includes(tissue)) held[leg] += toSeconds - fromSeconds;
			}
		}
		return (held.left + held.right) / 2;
	};
	for (const tissue of lengthen) {
		const held = heldLong(tissue, (mode) => mode !== 'dynamic' && mode !== 'rest');
		parts.rules += (12 * Math.max(0, 60 - held)) / 60;
	}
	if (setting.group.moment === 'before sport')
		for (const muscle of MUSCLE_TISSUES)
			if (heldLong(muscle, (mode) => mode === 'passive') >= 60) parts.rules += 6;

	let warm = 0;
	let least = timeline.totalSeconds;
	let most = timeline.totalSeconds;
	for (const [i, taught] of items.entries()) {
		const { item, movement, form, section, workSeconds } = taught;
		const before = items.slice(0, i);
		const jump = i > 0 ? form.intensity - intensities[i - 1]! : 0;
		if (jump > 2) parts.arc += 1.5 * (jump - 2);
		if ((section.kind === 'release' || section.kind === 'rest') && jump > 1) parts.arc += 1.5;
		if (form.intensity >= 4 && warm < 180) parts.rules += 9;
		if (
			form.intensity >= 4 &&
			movement.preparations.length > 0 &&
			!before.some((other) => movement.preparations.includes(other.movement.slug))
		)
			parts.rules += 7;
		const hangs = (t: TimedItem) => t.item.mode === 'passive' && t.form.intensity >= 4;
		if (works(item.mode) && form.intensity >= 3 && before.some(hangs)) parts.rules += 6;
		if (item.mode === 'passive' && form.intensity >= 2 && !before.some((t) => t.item.mode === 'dynamic'))
			parts.rules += 7;
		if (i < 2 && form.intensity > 2) parts.rules += 7;
		if (resting(taught)) {
			if (before.findLast(resting)?.section === section) parts.rules += 6;
			if (section.kind !== 'rest') parts.shape += 0.03 * Math.max(0, workSeconds - 150);
		}
		if (['dynamic', 'active', 'isometric'].includes(item.mode) && form.intensity < 4) warm += workSeconds;

		const range = rangeInStyle(styleOf(plan.style), item, movement, form);
		const byTurns = goesByTurns(item, movement) && range.unit !== 'seconds';
		const amounts = Array.from({ length: range.max - range.min + 1 }, (_, n) => range.min + n).filter(
			(dose) =>
				dose === range.usual || ((range.unit !== 'seconds' || dose % 5 === 0) && (!byTurns || dose % 2 === 0))
		);
		if (amounts.length > 1) {
			const off = Math.max(0, Math.abs(item.dose.amount - range.usual) - range.usual / 5);
			parts.dose += (0.6 * off) / (amounts.at(-1)! - amounts[0]!);
			if (!resting(taught)) parts.dose += (2.5 * Math.max(0, 45 - workSeconds)) / 45;
			least += workSecondsAt(plan, setting, taught, amounts[0]!) - workSeconds;
			most += workSecondsAt(plan, setting, taught, amounts.at(-1)!) - workSeconds;
		}
	}
	parts.rules += 0.03 * Math.abs(timeline.totalSeconds - length);
	parts.rules += Math.max(0, least - length) + Math.max(0, length - most);
	return parts;
}

const alike = (a: TimedItem, b: TimedItem) => likeness(a.movement, b.movement).score;
/** The cost asks for clock, orbit and items only. */
const NO_CHECKS = new Set<string>();
const resting = ({ item }: TimedItem) => item.mode === 'rest';
const works = (mode: Mode) => ['active', 'isometric', 'dynamic', 'press-and-ease'].includes(mode);

/** Seconds of work of an item with another dose, by the clock. */
function workSecondsAt(
	plan: ClassPlan,
	setting: ProposeContext,
	{ item }: TimedItem,
	amount: number
): number {
	const block = { ...item, dose: { ...item.dose, amount } };
	const one: ClassPlan = { ...plan, sections: [{ id: 'one', kind: 'build', blocks: [block] }] };
	return analysePlan(one, setting, NO_CHECKS).context.items[0]!.workSeconds;
}

export const sumOf = (parts: CostParts): number => Object.values(parts).reduce((a, b) => a + b, 0);
