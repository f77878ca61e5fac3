// Answers those of a reader's twenty questions that a program can answer from a plan, strictly: half a yes is a no.
import { isSymmetrical, type Direction } from '../../src/lib/core/anatomy';
import { needsAttention } from '../../src/lib/core/checks';
import { type Analysis } from '../../src/lib/core/analysis';
import type { TimedItem } from '../../src/lib/core/clock';
import type { Group } from '../../src/lib/core/group';
import { actionOf } from '../../src/lib/core/movement';
import { rangeSeconds } from '../../src/lib/core/orbit';
import { blocksOf, itemsIn, type Block, type ClassPlan } from '../../src/lib/core/plan';
import { movementSimilarity, demandOf, standingOf } from '../../src/lib/core/propose';
import { countsAsStrength, isReset as letsGo, purposesWanted } from '../../src/lib/core/rules';
import { styleOf } from '../../src/lib/core/style';

export interface Read {
	plan: ClassPlan;
	analysis: Analysis;
	group: Group;
}

const RELATED = 0.5;
const HEAVY = 4;
const demand = ({ form, item }: TimedItem) => demandOf(form, item.mode);
const isReset = ({ movement }: TimedItem) => letsGo(movement);
const strong = ({ form, item }: TimedItem) => countsAsStrength(form.effort, item.mode);
const inPart = (items: readonly TimedItem[], ...kinds: string[]) =>
	items.filter(({ section }) => kinds.includes(section.kind));
const hardest = (items: readonly TimedItem[]) =>
	items.reduce<TimedItem | undefined>((best, t) => (!best || demand(t) > demand(best) ? t : best), undefined);
const minutes = ({ plan }: Read) => plan.lengthSeconds / 60;
const linkedBlocks = (plan: ClassPlan): Block[] =>
	blocksOf(plan)
		.map(({ block }) => block)
		.filter((block) => (block.kind === 'chain' || block.kind === 'flow') && block.items.length > 1);

/** Movements that are met again harder, or held where they moved. */
function furtherReturns(items: readonly TimedItem[]): number {
	const first = new Map<string, TimedItem>();
	const back = new Set<string>();
	for (const taught of items) {
		const { slug } = taught.movement;
		const before = first.get(slug);
		if (!before) first.set(slug, taught);
		else if (
			demand(taught) > demand(before) ||
			(before.item.mode === 'dynamic' && taught.item.mode !== 'dynamic') ||
			(taught.item.dose.sets ?? 1) > (before.item.dose.sets ?? 1) ||
			taught.blockId !== taught.item.id
		)
			if (!isReset(taught)) back.add(slug);
	}
	return back.size;
}

/** The share of the build and the peak that three purposes cover. */
function threePurposes(items: readonly TimedItem[]): number {
	const own = inPart(items, 'build', 'peak').filter((t) => !isReset(t));
	const left = new Set(own);
	for (let turn = 0; turn < 3; turn++) {
		const counts = new Map<string, TimedItem[]>();
		for (const t of left)
			for (const purpose of t.movement.purposes) counts.set(purpose, [...(counts.get(purpose) ?? []), t]);
		const best = [...counts.values()].sort((a, b) => b.length - a.length)[0];
		for (const t of best ?? []) left.delete(t);
	}
	return own.length ? 1 - left.size / own.length : 0;
}

const turns = (analysis: Analysis, direction: Direction) =>
	rangeSeconds(analysis.orbit, direction) / Math.max(1, analysis.orbit.rangeTotalSeconds);

export const QUESTIONS: Record<string, (read: Read) => boolean> = {
	'1 arrives': ({ plan, analysis: { timeline, context } }) =>
		plan.sections[0]!.blocks[0]?.kind === 'talk' &&
		inPart(context.items, 'settle').every(({ movement }) => isSymmetrical(movement.action)) &&
		!timeline.entries.some(
			({ phase, fromSeconds }) => fromSeconds < 120 && (phase === 'change' || phase === 'fetch')
		),
	'2 warms': (read) => {
		const { items } = read.analysis.context;
		const until = Math.min(480, read.plan.lengthSeconds / 5 + 120);
		const moved = items.filter((t) => t.item.mode === 'dynamic' && t.startSeconds < until);
		const later = inPart(items, 'build', 'peak');
		return (
			new Set(moved.map(({ movement }) => movement.position)).size >= 2 &&
			moved.some((t) => later.some((b) => b !== t && movementSimilarity(t.movement, b.movement) >= RELATED))
		);
	},
	'3 is about something': ({ analysis }) => threePurposes(analysis.context.items) >= 0.7,
	'4 returns': (read) =>
		furtherReturns(read.analysis.context.items) >= (minutes(read) < 20 ? 0 : minutes(read) < 40 ? 1 : 2),
	'5 peaks': ({ analysis }) => {
		const top = hardest(analysis.context.items);
		const peak = hardest(inPart(analysis.context.items, 'peak'));
		return top !== undefined && peak !== undefined && demand(peak) >= demand(top) && strong(peak);
	},
	'6 leads up': ({ analysis }) => {
		const { items } = analysis.context;
		const peak = hardest(inPart(items, 'peak'));
		if (!peak) return false;
		const led = items.filter(
			(t) => t.startSeconds < peak.startSeconds && movementSimilarity(t.movement, peak.movement) >= RELATED
		);
		return (
			new Set(led.map(({ movement }) => movement.slug)).size >= 2 &&
			peak.startSeconds - led.at(-1)!.startSeconds < 900
		);
	},
	'7 is for these people': ({ plan, analysis, group }) => {
		const own = inPart(analysis.context.items, 'build', 'peak');
		const served = group.purposes.filter((p) => own.some(({ movement }) => movement.purposes.includes(p)));
		return served.length >= purposesWanted(group.purposes.length, plan.lengthSeconds);
	},
	'8 stands and lies in measure': ({ plan, analysis, group }) => {
		const [least, most] = standingOf(group, styleOf(plan.style));
		const standing = analysis.context.items
			.filter(({ movement }) => movement.position === 'standing')
			.reduce((sum, t) => sum + t.workSeconds, 0);
		const all = analysis.context.items.reduce((sum, t) => sum + t.workSeconds, 0);
		return standing / all >= least - 0.1 && standing / all <= most + 0.1;
	},
	'9 travels well': ({ analysis }) => {
		const at = analysis.context.items.map(({ movement }) => movement.position);
		const hops = at.filter((p, i) => at[i + 1] !== undefined && at[i + 1] !== p && at[i + 2] === p).length;
		return hops <= at.length / 12;
	},
	'10 links': (read) => {
		const linked = linkedBlocks(read.plan);
		return (
			linked.every((block) => itemsIn(block).length <= 5) &&
			(minutes(read) < 30 || styleOf(read.plan.style).holding === 'quiet' || linked.length > 0)
		);
	},
	'12 lets go': ({ analysis }) => {
		const { items } = analysis.context;
		return items.every((t, i) => {
			const next = items[i + 1];
			if (!next || next.blockId === t.blockId || demand(t) < HEAVY || t.section.kind === 'release')
				return true;
			return isReset(next) || demand(next) <= 2 || Boolean(t.item.noticeSeconds);
		});
	},
	'13 does not repeat itself': ({ analysis }) => {
		const { items } = analysis.context;
		return items.every((t, i) => {
			const next = items[i + 1];
			if (!next || next.blockId === t.blockId) return true;
			const same =
				movementSimilarity(t.movement, next.movement) >= 0.85 &&
				t.movement.position === next.movement.position &&
				t.item.mode === next.item.mode;
			return !same || demand(next) > demand(t);
		});
	},
	'14 doses well': ({ analysis, plan }) =>
		!analysis.findings.some(({ checkId }) => ['hold-too-long', 'hold-too-short'].includes(checkId)) &&
		(plan.lengthSeconds < 1200 || analysis.context.items.some(({ item }) => (item.dose.sets ?? 1) > 1)),
	'15 strengthens': (read) =>
		inPart(read.analysis.context.items, 'build', 'peak').filter(strong).length >= minutes(read) / 15,
	'16 turns both ways': ({ analysis }) => {
		const turning = (mode: boolean, sign: 'internalRotation' | 'externalRotation') =>
			analysis.context.items.some(({ movement, form, item }) => {
				if ((item.mode === 'dynamic') !== mode) return false;
				const action = actionOf(movement, form, item.mode);
				const legs = isSymmetrical(action) ? [action.both] : [action.lead, action.trail];
				return legs.some(({ positions }) => positions.some((p) => (p[sign] ?? 0) >= 10));
			});
		return (
			turns(analysis, 'internalRotation') >= 0.04 &&
			turns(analysis, 'externalRotation') >= 0.04 &&
			turning(true, 'internalRotation') &&
			turning(true, 'externalRotation')
		);
	},
	'17 speaks and listens': (read) => {
		const words = blocksOf(read.plan).filter(({ block }) => block.kind === 'talk');
		const pauses = read.analysis.context.items.filter(({ item }) => item.noticeSeconds).length;
		const part = (kind: string) => words.some(({ section }) => section.kind === kind);
		return (
			part('settle') &&
			(part('rest') || part('release')) &&
			(minutes(read) < 20 || part('build') || part('peak')) &&
			pauses >= (minutes(read) < 20 ? 1 : 2)
		);
	},
	'18 comes down': ({ analysis, group }) => {
		const { items } = analysis.context;
		const peak = hardest(inPart(items, 'peak'));
		const after = inPart(items, 'release', 'rest');
		const last = items.at(-1);
		if (!peak || !last || after.some((t) => demand(t) >= demand(peak))) return false;
		const upright = group.moment === 'before sport' || group.moment === 'lunch hour';
		return upright
			? last.movement.position === 'standing' || last.movement.position === 'seated'
			: last.item.mode === 'rest' && isSymmetrical(last.movement.action) && last.workSeconds >= 60;
	},
	'19 has a place for everyone': ({ analysis }) => !analysis.findings.some(needsAttention),
	'20 can be taught as it is': (read) => {
		const { analysis, plan } = read;
		const pieces = blocksOf(plan).filter(
			({ block, section }) =>
				(section.kind === 'build' || section.kind === 'peak') &&
				itemsIn(block).some((item) => !isReset(analysis.context.items.find((t) => t.item.id === item.id)!))
		).length;
		return (
			analysis.timeline.totalSeconds === plan.lengthSeconds && pieces <= Math.max(7, minutes(read) / 3.5)
		);
	}
};

/** The questions that a class answers with no. */
export const noes = (read: Read): string[] =>
	Object.entries(QUESTIONS).flatMap(([question, answer]) => (answer(read) ? [] : [question]));
