import { profileOf, formForRoom } from '../../substitution';
import { DIRECTION_NAME, DIRECTIONS, type Direction } from '../../anatomy';
import { formatDuration } from '../../clock';
import { shareText, type Balance } from '../../orbit';
import { usualForm, type Movement } from '../../movement';
import { isDeep } from '../../rules';
import { shortfall, addedAtEnd } from '../helpers';
import type { Check, CheckContext, Report, Severity } from '../types';

/** Returns how much a movement gives to the direction, less how much it gives to directions that are over their band. */
function worth(movement: Movement, direction: Direction, { balance }: CheckContext): number {
	const over = DIRECTIONS.filter((d) => balance.directions[d].standing === 'over');
	return over.reduce((sum, d) => sum - profileOf(movement).range[d], profileOf(movement).range[direction]);
}

/** Every class bends the hip and turns it both ways; the others may wait for the next class. */
const NEVER_LEFT_OUT: ReadonlySet<Direction> = new Set(['flexion', 'internalRotation', 'externalRotation']);
/** Below this share of the direction time a direction is left out. */
const LEFT_OUT_PERCENT = 2;

/** The ring shows what is a little short; a word is worth what has less than this part of its band’s lower end. */
const FAR_BELOW = 0.5;
/** A direction of which a group wants less than this is no theme of a class. */
const MEANT_PERCENT = 10;

/** Directions that are short, the most short first, in one sentence. */
function reportOf(short: readonly Direction[], { directions }: Balance, severity: Severity): Report {
	const [first, ...more] = short as [Direction, ...Direction[]];
	const { sharePercent, band, offBySeconds } = directions[first];
	const share = (d: Direction) => `${DIRECTION_NAME[d]} gets ${shareText(directions[d])} %`;
	const message = more.length
		? `far below their bands: ${short.map((d) => `${share(d)} (${directions[d].band.minPercent} wanted)`).join(', ')}`
		: `${share(first)} of the direction time; the band begins at ${band.minPercent} % (about ${formatDuration(offBySeconds)} more)`;
	return {
		message,
		severity,
		cause: severity === 'note' ? 'far below' : first,
		data: {
			direction: first,
			sharePercent: Math.round(sharePercent * 10) / 10,
			minPercent: band.minPercent,
			missingSeconds: offBySeconds
		}
	};
}

export const directionShort: Check = {
	meta: {
		id: 'direction-short',
		summary: 'No direction is left out',
		severity: 'fix',
		why: 'The targets say what this group needs over the weeks: a direction left out week after week stiffens. One class need not have everything.',
		source: 'common practice (the bands are the group’s own, editable targets)',
		canRepair: true
	},
	check({ balance, items, plan }) {
		// a class of one theme leaves out what is none of it
		if (items.length === 0 || plan.theme) return [];
		const short = DIRECTIONS.filter((d) => balance.directions[d].standing === 'short').sort(
			(a, b) => balance.directions[b].offBySeconds - balance.directions[a].offBySeconds
		);
		const isLeftOut = (d: Direction) =>
			NEVER_LEFT_OUT.has(d) && balance.directions[d].sharePercent < LEFT_OUT_PERCENT;
		const isFarBelow = (d: Direction) => {
			const { sharePercent, band } = balance.directions[d];
			return band.minPercent >= MEANT_PERCENT && !isLeftOut(d) && sharePercent < FAR_BELOW * band.minPercent;
		};
		const below = short.filter(isFarBelow);
		return [
			...short.filter(isLeftOut).map((d) => reportOf([d], balance, shortfall(plan))),
			// one class is no ring: what stays far below is one thing to know, and is made up for by the next classes
			...(below.length ? [reportOf(below, balance, 'note')] : [])
		];
	},
	/** Adds the movement that serves the direction best at the end of Build, preferring one not in the plan and not deep. */
	repair(finding, context) {
		const direction = finding.data.direction as Direction;
		const used = new Set(context.items.map(({ movement }) => movement.slug));
		const [best] = context.catalogue
			.filter(
				(m) =>
					!used.has(m.slug) &&
					!isDeep(usualForm(m)) &&
					profileOf(m).range[direction] > 0 &&
					formForRoom(m, context.group)
			)
			.sort((a, b) => worth(b, direction, context) - worth(a, direction, context));
		const section = context.plan.sections.find((s) => s.kind === 'build') ?? context.plan.sections[0];
		return best && section ? addedAtEnd(context, section, best) : null;
	}
};
