import { otherLeg, type Leg } from '../anatomy';
import type { Timeline } from './timeline';

/** Work that one leg has had more of than the other: the other leg is owed it. */
export interface Owed {
	/** Slug. */
	movement: string;
	/** The leg that has yet to lead. */
	leg: Leg;
	seconds: number;
}

/**
 * Returns the work owed to the other side at a second of the class: for each movement with sides, the work so far
 * with one leg leading less that with the other. In a chain the debt grows until the first pass ends and shrinks in
 * the second. Oldest debt first.
 */
export function owedAt(timeline: Timeline, second: number): Owed[] {
	const balance = new Map<string, number>();
	for (const { phase, movement, leads, fromSeconds, toSeconds } of timeline.entries) {
		if (fromSeconds >= second) break;
		if (phase !== 'work' || movement === null || leads === null) continue;
		const seconds = Math.min(toSeconds, second) - fromSeconds;
		balance.set(movement, (balance.get(movement) ?? 0) + (leads === 'left' ? seconds : -seconds));
	}
	return [...balance]
		.filter(([, seconds]) => seconds !== 0)
		.map(([movement, seconds]) => ({
			movement,
			leg: seconds > 0 ? otherLeg('left') : 'left',
			seconds: Math.abs(seconds)
		}));
}
