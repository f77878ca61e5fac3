import {
	CEILING_DEG,
	COUNTS_FROM_DEG,
	DIRECTIONS,
	DIRECTION_SIGN,
	KNEE_CEILING_DEG,
	OPPOSITE,
	type Direction
} from './directions';

/** Where one hip is: degrees in each direction; a direction left out is 0. */
export type HipAngles = Partial<Record<Direction, number>>;

/**
 * Tissues that a movement can lengthen. A leg turned inward lengthens the outward rotators: do not confuse tissue and
 * direction.
 */
export const TISSUES = [
	'hip flexors',
	'rectus femoris',
	'gluteus maximus',
	'gluteus medius',
	'deep outward rotators',
	'inward rotators',
	'adductors',
	'hamstrings',
	'calves',
	'hip capsule',
	'low back',
	'side body',
	'front of trunk',
	'chest and shoulders',
	'front of shins and ankles'
] as const;
export type Tissue = (typeof TISSUES)[number];

/** Muscles by what they do. The six hip groups belong to a direction each; the others only count as work. */
export const MUSCLE_GROUPS = [
	'hip flexors',
	'hip extensors',
	'hip abductors',
	'hip adductors',
	'hip internal rotators',
	'hip external rotators',
	'trunk',
	'knee extensors',
	'knee flexors',
	'calves',
	'arms and shoulders'
] as const;
export type MuscleGroup = (typeof MUSCLE_GROUPS)[number];

export const GROUP_OF_DIRECTION: Record<Direction, MuscleGroup> = {
	flexion: 'hip flexors',
	extension: 'hip extensors',
	abduction: 'hip abductors',
	adduction: 'hip adductors',
	internalRotation: 'hip internal rotators',
	externalRotation: 'hip external rotators'
};

/** The groups that make work "strength for the hip": the six directions and the trunk that holds the pelvis. */
export const STRENGTH_GROUPS: readonly MuscleGroup[] = [...Object.values(GROUP_OF_DIRECTION), 'trunk'];

/**
 * The action of one leg in a movement. One position is a hold; with several positions the leg swings through them
 * and spends an equal share of the time at each (a swing between two directions gives half to each: common practice,
 * no source).
 */
export interface LegAction {
	positions: HipAngles[];
	/** Knee flexion at each position, degrees. */
	kneeDeg: number[];
	lengthens: Tissue[];
	works: MuscleGroup[];
}

/**
 * The two legs of a movement. `lead` is the front, working, top, crossing or lifted leg; `trail` the other.
 * A symmetrical movement gives `both` and has no sides.
 */
export type ActionProfile = { both: LegAction } | { lead: LegAction; trail: LegAction };

/** Whether both legs do the same: then a movement has no sides. */
export function isSymmetrical(action: ActionProfile): action is { both: LegAction } {
	return 'both' in action;
}

/** The two legs of an action, the leading one first; twice the same where it has no sides. */
export const legPair = (action: ActionProfile): [LegAction, LegAction] =>
	isSymmetrical(action) ? [action.both, action.both] : [action.lead, action.trail];

const DIRECTION_OF_SIGN = new Map(DIRECTIONS.map((d) => [DIRECTION_SIGN[d], d]));

/**
 * Reads the trade's short notation of hip angles, in degrees: `F90 AB45 ER50 K90` is a hold,
 * `IR30 K90 -> ER40 K90` a swing. K is knee flexion and stays as it was when left out after an arrow.
 * @throws Error naming the part that cannot be read
 */
export function readHips(notation: string): Pick<LegAction, 'positions' | 'kneeDeg'> {
	const positions: HipAngles[] = [];
	const kneeDeg: number[] = [];
	for (const stage of notation.split('->')) {
		const angles: HipAngles = {};
		let knee = kneeDeg.at(-1) ?? 0;
		for (const part of stage.trim().split(/\s+/).filter(Boolean)) {
			const match = /^([A-Z]+)(\d+)$/.exec(part);
			if (!match) throw new Error(`"${part}" is not an angle such as F90`);
			const [, sign, digits] = match as unknown as [string, string, string];
			if (sign === 'K') {
				knee = Number(digits);
				continue;
			}
			const direction = DIRECTION_OF_SIGN.get(sign);
			if (!direction) throw new Error(`"${sign}" is not one of F, E, AB, AD, IR, ER, K`);
			if (Number(digits)) angles[direction] = Number(digits);
		}
		positions.push(angles);
		kneeDeg.push(knee);
	}
	return { positions, kneeDeg };
}

/** The short notation of a leg's angles, as {@link readHips} reads it. */
export function writeHips(action: Pick<LegAction, 'positions' | 'kneeDeg'>): string {
	return action.positions
		.map((angles, index) =>
			[
				...DIRECTIONS.filter((d) => angles[d]).map((d) => `${DIRECTION_SIGN[d]}${angles[d]}`),
				`K${action.kneeDeg[index] ?? 0}`
			].join(' ')
		)
		.join(' -> ');
}

/** Returns a sentence for each implausible angle of a leg; empty where all are plausible. */
export function implausibleAngles(action: Pick<LegAction, 'positions' | 'kneeDeg'>): string[] {
	const faults: string[] = [];
	for (const angles of action.positions) {
		for (const d of DIRECTIONS) {
			const deg = angles[d] ?? 0;
			if (deg < 0 || deg > CEILING_DEG[d]) faults.push(`${d} ${deg}° is outside 0-${CEILING_DEG[d]}°`);
			if (deg > 0 && (angles[OPPOSITE[d]] ?? 0) > 0) faults.push(`${d} and ${OPPOSITE[d]} at once`);
		}
	}
	for (const knee of action.kneeDeg)
		if (knee < 0 || knee > KNEE_CEILING_DEG) faults.push(`knee ${knee}° is outside 0-${KNEE_CEILING_DEG}°`);
	return [...new Set(faults)];
}

/**
 * The share (0-1) of a leg's work time that counts toward each direction: the positions at or beyond
 * {@link COUNTS_FROM_DEG}, each an equal part of the time. One second may count in several directions.
 */
export function directionShares(action: LegAction): Record<Direction, number> {
	const shares = {} as Record<Direction, number>;
	for (const d of DIRECTIONS) {
		let reached = 0;
		for (const angles of action.positions) if ((angles[d] ?? 0) >= COUNTS_FROM_DEG[d]) reached += 1;
		shares[d] = reached / action.positions.length;
	}
	return shares;
}

/** The direction that a movement serves most, both legs added; null when it serves none. Ties go to the rarer rotation. */
export function mainDirection(action: ActionProfile): Direction | null {
	const parts = legPair(action);
	const preferred: Direction[] = [
		'internalRotation',
		'adduction',
		'extension',
		'externalRotation',
		'flexion',
		'abduction'
	];
	let best: Direction | null = null;
	let most = 0;
	for (const direction of preferred) {
		const share = parts.reduce((sum, part) => sum + directionShares(part)[direction], 0);
		if (share > most) {
			most = share;
			best = direction;
		}
	}
	return best;
}
