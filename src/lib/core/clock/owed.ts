import { otherLeg, type Leg } from '../anatomy';
import type { Timeline } from './clock';

/** What one leg has had more of than the other: the other is owed it. */
export interface Owed {
	/** Slug. */
	movement: string;
	/** The leg that has yet to lead. */
	leg: Leg;
	seconds: number;
}

/**
 * What is owed to the other side at a second of the class: for each movement with sides the work done so far with
 * one leg leading, less that with the other. In a chain it grows to the end of the first pass and melts in the
 * second. In the order in which the debts were begun.
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
