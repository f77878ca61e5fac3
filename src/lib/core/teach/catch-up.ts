import { unitWord } from '../plan';
import { chooseAmounts, type AdjustableDose } from '../fit';
import type { SessionAction } from './events';
import { behindMs, isOnTime, remainingMs } from './now';
import { adjust } from './replay';
import { givenMs, goalMs, isLeftOut, presentId } from './state-reads';
import type { SessionState, Steps } from './state';
import { WAYS, type ScriptBlock, type ScriptStep, type CatchUpMethod } from './types';

/** One way to come out on time, which is taken by one event. */
export interface CatchUpOption {
	way: CatchUpMethod | 'lengthen';
	words: string;
	/** Its changes, a few words each. */
	changes: string[];
	act: SessionAction & { do: 'adjust' };
	/** How far from its time the class ends then, milliseconds; 0 where it comes out. */
	stillBehindMs: number;
}

interface Change {
	seconds: Record<string, number>;
	leftOut: string[];
	changes: string[];
}

/**
 * Returns the ways to end on time, the teacher's favourite first: shorter holds within their ranges, one set fewer, items
 * left out. The doses absorb what is still missing, to the second where possible. It never takes a second side that is
 * owed, nor the closing rest below its least, nor the release or the only preparation of something deep. A class that is
 * ahead gets longer doses. Empty where the class is on time.
 */
export function offersToEndOnTime(
	state: SessionState,
	steps: Steps,
	order: readonly CatchUpMethod[] = WAYS
): CatchUpOption[] {
	if (state.mode !== 'running' && state.mode !== 'paused') return [];
	const behind = behindMs(state, steps);
	if (isOnTime(behind)) return [];
	if (behind < 0) {
		const longer = withDoses(state, steps, nothing(), -behind);
		return longer ? [offer('lengthen', longer, state, steps)] : [];
	}
	const found: Record<CatchUpMethod, Change | null> = {
		shorten: withDoses(state, steps, nothing(), -behind),
		'fewer sets': fewerSets(state, steps, behind),
		'leave out': leavingOut(state, steps, behind)
	};
	return order
		.flatMap((way) => (found[way] ? [offer(way, found[way], state, steps)] : []))
		.filter(({ stillBehindMs }) => stillBehindMs < behind)
		.sort((a, b) => Number(isOnTime(b.stillBehindMs)) - Number(isOnTime(a.stillBehindMs)));
}

const nothing = (): Change => ({ seconds: {}, leftOut: [], changes: [] });

/** The ids of steps that nothing was given of yet, which may still change. */
function open(state: SessionState, { leftOut }: Pick<Change, 'leftOut'>): string[] {
	return state.order.filter(
		(id, index) => index > state.at && !state.done.has(id) && !isLeftOut(state, id) && !leftOut.includes(id)
	);
}

/** The doses that may change: those of items of which nothing was given, both sides alike. */
function adjustable(
	state: SessionState,
	steps: Steps,
	change: Change
): { dose: AdjustableDose; ids: string[] }[] {
	const ids = open(state, change);
	const free = ids.filter((id) => steps.get(id).adjust !== null && !/\+\d+$/.test(id));
	const itemIds = [...new Set(free.map((id) => steps.get(id).itemId!))];
	const begun = new Set(
		state.order
			.filter((id) => givenMs(state, id) > 0 && steps.get(id).kind === 'work')
			.map((id) => steps.get(id).itemId)
	);
	return itemIds
		.filter((itemId) => !begun.has(itemId))
		.map((itemId) => {
			const own = free.filter((id) => steps.get(id).itemId === itemId);
			const first = steps.get(own[0]!).adjust!;
			const seconds: number[] = [];
			for (let amount = first.min; amount <= first.max; amount++)
				seconds.push(own.reduce((sum, id) => sum + secondsOf(steps.get(id), amount), 0));
			const now = own.reduce((sum, id) => sum + goalMs(state, steps, id) / 1000, 0);
			const current = nearest(seconds, now) + first.min;
			return {
				ids: own,
				dose: {
					itemId,
					min: first.min,
					current,
					allowed: [first.min, first.max] as const,
					step: first.step,
					seconds,
					secondsPerUnit: own.length * first.eachSeconds,
					weight: first.weight
				}
			};
		});
}

const secondsOf = ({ adjust }: ScriptStep, amount: number): number =>
	Math.max(1, Math.round(adjust!.baseSeconds + amount * adjust!.eachSeconds));

function nearest(seconds: readonly number[], wanted: number): number {
	let best = 0;
	seconds.forEach((s, i) => {
		if (Math.abs(s - wanted) < Math.abs(seconds[best]! - wanted)) best = i;
	});
	return best;
}

/**
 * Returns the change with doses that add the given milliseconds (negative: save them), to the second; where the doses cannot,
 * as far as they can. Null where no dose may change at all.
 */
function withDoses(state: SessionState, steps: Steps, change: Change, byMs: number): Change | null {
	const free = adjustable(state, steps, change);
	if (free.length === 0) return null;
	const now =
		free.reduce((sum, { ids }) => sum + ids.reduce((s, id) => s + goalMs(state, steps, id), 0), 0) / 1000;
	const wanted = Math.round(now + byMs / 1000);
	const doses = free.map(({ dose }) => dose);
	const exact = chooseAmounts(doses, wanted);
	const inOnes = exact.ok ? exact : chooseAmounts(inStepsOfOne(doses), wanted);
	const amounts = inOnes.ok
		? inOnes.amounts
		: inOnes.kind === 'no-exact-sum'
			? amountsFor(doses, nearestOf(inOnes.nearest, wanted))
			: doses.map(({ allowed }) => (inOnes.kind === 'too-long' ? allowed[0] : allowed[1]));
	if (!amounts) return null;
	const seconds = { ...change.seconds };
	const changes = [...change.changes];
	free.forEach(({ dose, ids }, i) => {
		const amount = amounts[i]!;
		if (amount === dose.current) return;
		const step = steps.shown(state, ids[0]!);
		for (const id of ids) seconds[steps.get(id).id] = secondsOf(steps.get(id), amount);
		const unit = step.count ? unitWord(step.count.unit, amount) : '';
		changes.push(`${step.title}: ${amount} ${unit} instead of ${dose.current}`);
	});
	return { ...change, seconds, changes };
}

const nearestOf = (sums: readonly number[], wanted: number): number =>
	[...sums].sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted))[0] ?? wanted;

const inStepsOfOne = (doses: readonly AdjustableDose[]): AdjustableDose[] =>
	doses.map((dose) => ({ ...dose, step: 1 }));

function amountsFor(doses: AdjustableDose[], sum: number): number[] | null {
	const choice = chooseAmounts(inStepsOfOne(doses), sum);
	return choice.ok ? choice.amounts : null;
}

/** One set fewer of what is given in several and not begun, until the doses make up the rest. */
function fewerSets(state: SessionState, steps: Steps, behind: number): Change | null {
	const ids = open(state, nothing());
	const lastSets = ids.filter((id) => {
		const { set, kind } = steps.get(id);
		return kind === 'work' && set !== null && set.number === set.of;
	});
	const items = [...new Set(lastSets.map((id) => steps.get(id).itemId!))].filter((itemId) =>
		state.order.every((id) => steps.get(id).itemId !== itemId || givenMs(state, id) === 0)
	);
	let change = nothing();
	for (const itemId of items) {
		const gone = ids.filter((id) => {
			const step = steps.get(id);
			if (step.itemId !== itemId) return false;
			return lastSets.includes(id) || (step.kind === 'rest' && isLastRest(id, ids, steps));
		});
		const { title } = steps.shown(state, gone[0]!);
		change = {
			...change,
			leftOut: [...change.leftOut, ...gone],
			changes: [...change.changes, `${title}: one set fewer`]
		};
		const filled = withDoses(state, steps, change, saved(state, steps, change) - behind) ?? change;
		if (isOnTime(stillBehind(state, steps, filled))) return filled;
	}
	if (items.length === 0) return null;
	return withDoses(state, steps, change, saved(state, steps, change) - behind) ?? change;
}

/** The rest before the last set of its side. */
function isLastRest(id: string, ids: readonly string[], steps: Steps): boolean {
	const { itemId, side } = steps.get(id);
	return (
		ids.findLast((other) => {
			const step = steps.get(other);
			return step.kind === 'rest' && step.itemId === itemId && step.side === side;
		}) === id
	);
}

/** Leaves out the items whose omission costs least, until the time is made up; doses absorb the rest. */
function leavingOut(state: SessionState, steps: Steps, behind: number): Change | null {
	const ids = open(state, nothing());
	const untouched = (block: ScriptBlock) =>
		block.keptFor === null &&
		ids.some((id) => steps.get(id).blockId === block.id) &&
		state.order.every((id) => {
			if (steps.get(id).blockId !== block.id) return true;
			return id !== presentId(state) && !state.done.has(id) && givenMs(state, id) === 0;
		});
	const candidates = steps.script.blocks.filter(untouched);
	const msOf = (block: ScriptBlock) =>
		ids.reduce((sum, id) => (steps.get(id).blockId === block.id ? sum + goalMs(state, steps, id) : sum), 0);
	let change = nothing();
	const rest = [...candidates];
	while (rest.length > 0) {
		const missing = behind - saved(state, steps, change);
		// of those that would be enough the one that is lost least by; else the one that is lost least by of all
		const byLoss = [...rest].sort((a, b) => a.loss - b.loss || msOf(b) - msOf(a));
		const block = byLoss.find((b) => b.loss === byLoss[0]!.loss && msOf(b) >= missing) ?? byLoss[0]!;
		rest.splice(rest.indexOf(block), 1);
		change = {
			...change,
			leftOut: [...change.leftOut, ...ids.filter((id) => steps.get(id).blockId === block.id)],
			changes: [...change.changes, `without ${block.title}`]
		};
		const filled = withDoses(state, steps, change, saved(state, steps, change) - behind) ?? change;
		if (isOnTime(stillBehind(state, steps, filled))) return filled;
	}
	if (candidates.length === 0) return null;
	return withDoses(state, steps, change, saved(state, steps, change) - behind) ?? change;
}

const changed = (state: SessionState, { seconds, leftOut }: Change): SessionState =>
	adjust(state, { event: '', seconds, leftOut });

/** Milliseconds that a change saves. */
const saved = (state: SessionState, steps: Steps, change: Change): number =>
	remainingMs(state, steps) - remainingMs(changed(state, change), steps);

const stillBehind = (state: SessionState, steps: Steps, change: Change): number =>
	behindMs(changed(state, change), steps);

function offer(way: CatchUpOption['way'], change: Change, state: SessionState, steps: Steps): CatchUpOption {
	const stillBehindMs = Math.round(stillBehind(state, steps, change));
	const words = {
		shorten: 'Shorter doses',
		'fewer sets': 'Fewer sets',
		'leave out': 'Leave something out',
		lengthen: 'Longer doses'
	}[way];
	return {
		way,
		words,
		changes: change.changes,
		act: { do: 'adjust', seconds: change.seconds, leftOut: change.leftOut },
		stillBehindMs
	};
}
