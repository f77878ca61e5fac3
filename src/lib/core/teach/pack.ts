import { groupToday, type Group } from '../group';
import { figure, bestView, type Figure } from '../figure';
import { catalogueView, formOf, type CatalogueView, type FindMovement, type Movement } from '../movement';
import type { PaceModel } from '../pace';
import type { Attendance } from '../people';
import type { ClassPlan } from '../plan';
import { scriptAndRoom } from './script';
import { figureKey } from './state';
import type { Script } from './types';

/** Source of a teaching pack: the device prepares it again when other people come. */
export interface PackSource {
	plan: ClassPlan;
	group: Group;
	/** Movements of the studio besides those of the catalogue, as in `catalogueView`. */
	own: readonly Movement[];
	leftOut: readonly string[];
	kept: readonly Movement[];
	pace: PaceModel;
}

/** A class made ready for the people who are here. */
export interface Prepared {
	script: Script;
	/** Drawings by the keys of the steps. */
	figures: Record<string, Figure>;
	/** Kit that does not do for everybody, as it is said before class. */
	shortages?: string[];
}

/** A class as it lies on a device, to be taught without a network, and when it is. */
export interface TeachPack extends Prepared {
	planId: string;
	groupId: string;
	group: string;
	room: string;
	/** The day in words, "Tuesday 24 November"; empty for a class without one. */
	day: string;
	/** When it is to begin, milliseconds since 1970; null for a class without a day. */
	plannedStartAt: number | null;
	/** Absent in what an earlier version kept on a device. */
	source?: PackSource;
}

/** The movements that a class is read with. */
export const catalogueOf = (
	{ own, leftOut, kept }: PackSource,
	catalogue: readonly Movement[]
): CatalogueView => catalogueView(catalogue, own, leftOut, kept);

/**
 * Makes a class ready for who is here: script, drawings, and what kit is short. The ids of its steps do not depend on it.
 *
 * @param here counted today; undefined: everybody who usually comes
 * @throws Error when the plan names a movement that is unknown
 */
export function prepare(
	source: PackSource,
	here: Attendance | undefined,
	catalogue: readonly Movement[]
): Prepared {
	const { find } = catalogueOf(source, catalogue);
	const group = groupToday(source.group, here);
	const { script, room } = scriptAndRoom(source.plan, group, find, source.pace);
	return {
		script,
		figures: figuresOf(figureKeys(script), find),
		shortages: [...new Set(room.shortages.map(({ english, words }) => `${english} ${words}`))]
	};
}

/** Keys of the drawings that the steps of a script name, each once. */
export const figureKeys = ({ steps }: Script): string[] => [
	...new Set(steps.flatMap(({ figure: key }) => key ?? []))
];

/** Drawings by their keys; what is not known is not drawn. */
export function figuresOf(keys: readonly string[], find: FindMovement): Record<string, Figure> {
	const figures: Record<string, Figure> = {};
	for (const key of keys) {
		const [slug = '', form = '', leads] = key.split('/');
		const movement = find(slug);
		if (movement) figures[key] = drawingOf(movement, form, leads === 'left' ? 'left' : 'right');
	}
	return figures;
}

function drawingOf(movement: Movement, form: string, leads: 'left' | 'right'): Figure {
	return figure(
		movement,
		bestView(movement),
		movement.forms.find(({ id }) => id === form) ?? formOf(movement, 'full'),
		leads
	);
}

/** A movement in a form with either leg leading, by the keys of the drawings. */
export const bothDrawings = (movement: Movement, form: string): Record<string, Figure> => ({
	[figureKey(movement.slug, form, 'left')]: drawingOf(movement, form, 'left'),
	[figureKey(movement.slug, form, 'right')]: drawingOf(movement, form, 'right')
});
