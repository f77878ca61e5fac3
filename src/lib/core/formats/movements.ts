import { array } from 'yup';
import { MOVEMENT, movementFaults, withRuledCautions, type FindMovement, type Movement } from '../movement';
import { broughtUp, withVersion, type Read } from '../validation';
import { inFile } from './versions';

/** More than a class can use. */
const MAX_MOVEMENTS = 200;

/** Movements that a file brings along, since they do not come with Humble Orbit. */
export const movementsInFile = array().of(inFile(MOVEMENT).required()).max(MAX_MOVEMENTS);

/** The part of a file that holds its movements; none where it has none. */
export const writeMovements = (movements: readonly Movement[]) =>
	movements.length ? { movements: movements.map((movement) => withVersion(MOVEMENT, movement)) } : {};

/** Movements in a file: whole and sound. What they name elsewhere may be missing here, and is left out; a
 * file loosens no caution. */
export function readMovements(value: unknown, find: FindMovement): Read<Movement[]> {
	const no = (message: string): Read<never> => ({ ok: false, faults: [{ path: 'movements', message }] });
	if (!Array.isArray(value)) return no('must be a list');
	if (value.length > MAX_MOVEMENTS) return no(`${value.length} movements; at most ${MAX_MOVEMENTS} are read`);
	const up: unknown[] = [];
	for (const [i, kept] of value.entries()) {
		const read = broughtUp(MOVEMENT, kept);
		if (!read.ok) return no(`[${i}]: ${read.faults[0]!.message}`);
		up.push(read.value);
	}
	const shaped = up.every(
		(m) =>
			typeof m === 'object' &&
			m !== null &&
			Array.isArray((m as Movement).forms) &&
			typeof (m as Movement).slug === 'string'
	);
	if (!shaped) return no('each must be a movement with a slug and forms');
	const movements = up as Movement[];
	const there = new Set(movements.map((m) => m.slug));
	const known = (slug: string) => there.has(slug) || find(slug) !== undefined;
	const named = (list: unknown) =>
		Array.isArray(list) ? (list as string[]).filter(known) : (list as string[]);
	const bare = movements.map((m) => ({
		...m,
		prerequisites: named(m.prerequisites),
		preparations: named(m.preparations),
		counters: named(m.counters),
		kin: named(m.kin)
	}));
	const elsewhere = bare.flatMap((m) =>
		Array.isArray(m.cautions) ? m.cautions.map((c) => c?.instead).filter((s) => typeof s === 'string') : []
	);
	const faults = movementFaults(bare, [
		...bare.flatMap((m) => [m.prerequisites, m.preparations, m.counters, m.kin].flat()),
		...elsewhere
	]);
	return faults.length
		? { ok: false, faults: faults.map((message) => ({ path: 'movements', message })) }
		: { ok: true, value: bare.map(withRuledCautions) };
}
