import { newGroup, preset, type Group, type Kit } from '../core/group';

/** Kit of the Saltmarsh Loft. */
export const DEMO_STUDIO_KIT: Kit = {
	block: 24,
	blanket: 14,
	strap: 12,
	bolster: 6,
	chair: 12,
	'wall space': 8
};

/** The invented groups of the Saltmarsh Loft, a room above a sail repair shop in Wick Hollow. */
export const DEMO_GROUPS = {
	striders: {
		...newGroup('runners', 'Breakwater Striders'),
		discipline: 'coast-path runners',
		size: 12,
		tiers: { tight: 6, middling: 5, open: 1 },
		moment: 'after sport',
		weekday: 2,
		startsAt: '19:15',
		lengthSeconds: 45 * 60,
		room: 'Saltmarsh Loft',
		changeover: { beforeMinutes: 15, afterMinutes: 10 },
		cautions: [
			{ caution: 'sore knee', people: 2 },
			{ caution: 'low back', people: 1 }
		],
		sharesKit: true,
		kit: DEMO_STUDIO_KIT,
		note: 'They arrive warm from the coast path and a little salty.'
	},
	chalk: {
		...newGroup('climbers', 'Chalk Tuesdays'),
		discipline: 'indoor climbers',
		size: 9,
		tiers: { tight: 2, middling: 5, open: 2 },
		moment: 'rest day',
		weekday: 2,
		startsAt: '17:30',
		lengthSeconds: 50 * 60,
		room: 'Saltmarsh Loft',
		cautions: [{ caution: 'front-of-hip pinch', people: 1 }],
		sharesKit: true,
		kit: DEMO_STUDIO_KIT
	},
	tide: {
		...newGroup('beginners', 'First Tide'),
		discipline: 'beginners',
		size: 14,
		tiers: { tight: 8, middling: 5, open: 1 },
		moment: 'morning',
		weekday: 6,
		startsAt: '09:30',
		lengthSeconds: 60 * 60,
		room: 'Saltmarsh Loft',
		cautions: [
			{ caution: 'sore knee', people: 3 },
			{ caution: 'high blood pressure or glaucoma', people: 1 },
			{ caution: 'poor balance', people: 2 }
		],
		sharesKit: true,
		kit: DEMO_STUDIO_KIT
	},
	skiff: {
		...newGroup('general', 'Skiff Crew'),
		discipline: 'rowers',
		purposes: [...preset('rowers').purposes],
		size: 8,
		tiers: { tight: 3, middling: 4, open: 1 },
		moment: 'before sport',
		weekday: 4,
		startsAt: '06:40',
		lengthSeconds: 20 * 60,
		room: 'Boat shed',
		kit: { block: 0, 'wall space': 8 }
	},
	lamp: {
		...newGroup('desk workers', 'Lamp Room'),
		discipline: 'desk workers',
		size: 10,
		tiers: { tight: 5, middling: 4, open: 1 },
		moment: 'lunch hour',
		weekday: 3,
		startsAt: '12:20',
		lengthSeconds: 30 * 60,
		room: 'Saltmarsh Loft',
		changeover: { beforeMinutes: 5, afterMinutes: 5 },
		cautions: [{ caution: 'low back', people: 3 }],
		sharesKit: true,
		kit: DEMO_STUDIO_KIT
	}
} satisfies Record<string, Group>;

export type DemoGroupKey = keyof typeof DEMO_GROUPS;
