// Groups of every kind for which proposals are judged: those of the demo, and others that are harder to please.
import { newGroup, type Group } from '../../src/lib/core/group';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';

export const JUDGED_GROUPS = {
	striders: DEMO_GROUPS.striders,
	chalk: DEMO_GROUPS.chalk,
	tide: DEMO_GROUPS.tide,
	skiff: DEMO_GROUPS.skiff,
	lamp: DEMO_GROUPS.lamp,
	ledge: {
		...newGroup('climbers', 'High Ledge'),
		discipline: 'strong climbers',
		size: 7,
		tiers: { tight: 1, middling: 2, open: 4 },
		moment: 'rest day',
		kit: { block: 14, blanket: 7, strap: 7, 'wall space': 7 }
	},
	dancers: {
		...newGroup('very mobile', 'Late Tide'),
		discipline: 'very mobile dancers',
		size: 11,
		tiers: { tight: 0, middling: 3, open: 8 },
		moment: 'evening',
		cautions: [
			{ caution: 'very mobile joints', people: 6 },
			{ caution: 'front-of-hip pinch', people: 2 }
		],
		kit: { block: 22, blanket: 11, strap: 11, bolster: 4, 'wall space': 6 }
	},
	elders: {
		...newGroup('beginners', 'Morning Pier'),
		discipline: 'beginners over 60',
		size: 9,
		tiers: { tight: 7, middling: 2, open: 0 },
		moment: 'lunch hour',
		cautions: [
			{ caution: 'sore knee', people: 6 },
			{ caution: 'poor balance', people: 2 }
		],
		kit: {}
	},
	counter: {
		...newGroup('desk workers', 'Counter Crew'),
		discipline: 'desk workers',
		size: 16,
		tiers: { tight: 9, middling: 6, open: 1 },
		moment: 'lunch hour',
		cautions: [
			{ caution: 'low back', people: 2 },
			{ caution: 'sore knee', people: 1 }
		],
		kit: { chair: 16 }
	},
	mixed: {
		...newGroup('general', 'Wednesday Mixed'),
		discipline: 'a mixed group',
		size: 10,
		tiers: { tight: 3, middling: 5, open: 2 },
		moment: 'evening',
		kit: { block: 24, blanket: 14, strap: 12, cushion: 12, 'wall space': 8 }
	}
} satisfies Record<string, Group>;

export type JudgedGroupKey = keyof typeof JUDGED_GROUPS;
