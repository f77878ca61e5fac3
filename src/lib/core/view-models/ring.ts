import {
	DIRECTIONS,
	directionShares,
	GROUP_OF_DIRECTION,
	isSymmetrical,
	type Direction,
	type Leg
} from '../anatomy';
import { memoizeBy, type Movement } from '../movement';
import type { Balance, Orbit } from '../orbit';

/**
 * The ring: six directions round a circle, the left leg as its left half and the right leg as its right half.
 * Seen from the top down each half holds the same directions, so a balanced class is mirror-symmetrical.
 * Opposites face each other across the half: flexion (top) and extension (bottom), and so on inward.
 */
const ORDER: readonly Direction[] = [
	'flexion',
	'abduction',
	'externalRotation',
	'internalRotation',
	'adduction',
	'extension'
];

/** Radii in units of a ring whose box is 200 x 200. */
const CENTRE = 100;
const STRENGTH_FROM = 9;
const STRENGTH_TO = 32;
const RANGE_FROM = 36;
const RANGE_TO = 86;
const LABEL_AT = 94;
/** Shares from this on reach the rim. */
const FULL_SHARE_PERCENT = 40;
/** Each direction has a twelfth of the circle, less a hair on either side. */
const STEP_DEG = 30;
const GAP_DEG = 1.2;

/** One direction on the ring. */
export interface RingSector {
	direction: Direction;
	leg: Leg;
	/** SVG paths; empty where there is nothing. */
	track: string;
	band: string;
	range: string;
	strength: string;
	label: { x: number; y: number };
}

/** Degrees clockwise from the top where a direction's sector begins on the right; the left is its mirror. */
function startDeg(direction: Direction): number {
	return ORDER.indexOf(direction) * STEP_DEG;
}

function point(radius: number, deg: number): [number, number] {
	const rad = (deg * Math.PI) / 180;
	return [CENTRE + radius * Math.sin(rad), CENTRE - radius * Math.cos(rad)];
}

const n = (value: number) => Number(value.toFixed(2));

/** A wedge of a ring between two radii, as an SVG path; empty when it has no thickness. */
export function wedge(inner: number, outer: number, fromDeg: number, toDeg: number): string {
	if (outer - inner < 0.05) return '';
	const [ax, ay] = point(outer, fromDeg);
	const [bx, by] = point(outer, toDeg);
	const [cx, cy] = point(inner, toDeg);
	const [dx, dy] = point(inner, fromDeg);
	const sweep = toDeg > fromDeg ? 1 : 0;
	return `M${n(ax)} ${n(ay)}A${n(outer)} ${n(outer)} 0 0 ${sweep} ${n(bx)} ${n(by)}L${n(cx)} ${n(cy)}A${n(inner)} ${n(inner)} 0 0 ${1 - sweep} ${n(dx)} ${n(dy)}Z`;
}

function sector(
	direction: Direction,
	leg: Leg,
	parts: { rangePercent: number; strengthFraction: number; bandPercent: [number, number] | null }
): RingSector {
	const side = leg === 'right' ? 1 : -1;
	const from = side * (startDeg(direction) + GAP_DEG);
	const to = side * (startDeg(direction) + STEP_DEG - GAP_DEG);
	const radius = (percent: number) =>
		RANGE_FROM + (RANGE_TO - RANGE_FROM) * Math.min(1, percent / FULL_SHARE_PERCENT);
	const [x, y] = point(LABEL_AT, side * (startDeg(direction) + STEP_DEG / 2));
	return {
		direction,
		leg,
		track: wedge(RANGE_FROM, RANGE_TO, from, to),
		band: parts.bandPercent
			? wedge(radius(parts.bandPercent[0]), radius(parts.bandPercent[1]), from, to)
			: '',
		range: wedge(RANGE_FROM, radius(parts.rangePercent), from, to),
		strength: wedge(
			STRENGTH_FROM,
			STRENGTH_FROM + (STRENGTH_TO - STRENGTH_FROM) * Math.min(1, parts.strengthFraction),
			from,
			to
		),
		label: { x: n(x), y: n(y) }
	};
}

/**
 * The ring of a class. Range: the direction's share of that leg's direction time, to the rim at 40 %, with the
 * group's band behind it. Strength (the inner disc): its part of the work time, full at a quarter of it.
 */
export function classRing(orbit: Orbit, balance: Balance): RingSector[] {
	return (['left', 'right'] as const).flatMap((leg) => {
		const total = DIRECTIONS.reduce((sum, d) => sum + orbit.range[leg][d], 0);
		return ORDER.map((direction) => {
			const { band } = balance.directions[direction];
			return sector(direction, leg, {
				rangePercent: total === 0 ? 0 : (100 * orbit.range[leg][direction]) / total,
				strengthFraction:
					orbit.workSeconds === 0 ? 0 : (4 * orbit.strength[leg][direction]) / orbit.workSeconds,
				bandPercent: [band.minPercent, band.maxPercent]
			});
		});
	});
}

/** The ring of one movement (each leg its own half): how much of its time each direction gets. */
export function movementRing(movement: Movement, leads: Leg = 'right'): RingSector[] {
	return rings(movement, leads, () => ringOf(movement, leads));
}

const rings = memoizeBy<RingSector[]>();

function ringOf(movement: Movement, leads: Leg): RingSector[] {
	return (['left', 'right'] as const).flatMap((leg) => {
		const { action } = movement;
		const legAction = isSymmetrical(action) ? action.both : leg === leads ? action.lead : action.trail;
		const shares = directionShares(legAction);
		return ORDER.map((direction) =>
			sector(direction, leg, {
				rangePercent: FULL_SHARE_PERCENT * shares[direction],
				strengthFraction: legAction.works.includes(GROUP_OF_DIRECTION[direction]) ? 1 : 0,
				bandPercent: null
			})
		);
	});
}
