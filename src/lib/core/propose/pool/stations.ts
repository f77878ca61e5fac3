import type { Form, Movement, Position } from '../../movement';

/** Where a body is in a class: a position, but on a chair and on the floor are two, and lying is lying with the legs at a wall too. */
export const STATIONS = ['back', 'front', 'side', 'seat', 'all fours', 'knees', 'chair', 'feet'] as const;
export type Station = (typeof STATIONS)[number];

const OF_POSITION: Record<Position, Station> = {
	supine: 'back',
	'wall-supine': 'back',
	prone: 'front',
	sidelying: 'side',
	seated: 'seat',
	quadruped: 'all fours',
	kneeling: 'knees',
	standing: 'feet'
};

/** Returns where a form of a movement is done. */
export function stationOf({ position }: Movement, { props }: Pick<Form, 'props'>): Station {
	if (position === 'seated' && props.some(({ kit }) => kit === 'chair')) return 'chair';
	return OF_POSITION[position];
}
