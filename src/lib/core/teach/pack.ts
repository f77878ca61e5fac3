import { figure, bestView, type Figure } from '../figure';
import { formOf, type FindMovement } from '../movement';
import type { Script } from './types';

/** A class as it lies on a device, to be taught without a network: its script, its drawings, and when it is. */
export interface TeachPack {
	planId: string;
	groupId: string;
	group: string;
	room: string;
	/** The day in words, "Tuesday 24 November"; empty for a class without one. */
	day: string;
	/** When it is to begin, milliseconds since 1970; null for a class without a day. */
	plannedStartAt: number | null;
	script: Script;
	/** Drawings by the keys of the steps. */
	figures: Record<string, Figure>;
}

/** The drawings that the steps of a script name, each once. */
export function figuresOf({ steps }: Script, find: FindMovement): Record<string, Figure> {
	const figures: Record<string, Figure> = {};
	for (const { figure: key } of steps) {
		if (key === null || figures[key]) continue;
		const [slug = '', form = '', leads] = key.split('/');
		const movement = find(slug);
		if (!movement) continue;
		figures[key] = figure(
			movement,
			bestView(movement),
			movement.forms.find(({ id }) => id === form) ?? formOf(movement, 'full'),
			leads === 'left' ? 'left' : 'right'
		);
	}
	return figures;
}
