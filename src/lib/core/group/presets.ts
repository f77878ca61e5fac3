import type { Direction } from '../anatomy';
import type { Purpose } from '../movement';
import type { Targets } from '../orbit';
import { USUAL_KIT } from './kit';
import type { Group, PresetId } from './types';

/** The usual needs of a kind of group. */
export interface Preset {
	id: PresetId;
	label: string;
	targets: Targets;
	/** Purposes of its classes. */
	purposes: readonly Purpose[];
	/** Why each band is as it is, one sentence each. */
	because: Record<Direction | 'strength', string>;
}

type Pair = [min: number, max: number];

function targets(f: Pair, e: Pair, ab: Pair, ad: Pair, ir: Pair, er: Pair, strength: Pair): Targets {
	const band = ([minPercent, maxPercent]: Pair) => ({ minPercent, maxPercent });
	return {
		directions: {
			flexion: band(f),
			extension: band(e),
			abduction: band(ab),
			adduction: band(ad),
			internalRotation: band(ir),
			externalRotation: band(er)
		},
		strength: band(strength)
	};
}

/** Why a mixed group is asked for this; presets say where they differ. */
const BECAUSE: Preset['because'] = {
	flexion: 'Sitting, squatting and tying shoes all need it, and every class has plenty.',
	extension: 'The thigh behind the body is what chairs take away.',
	abduction: 'Wide shapes keep the inner thigh long and the outer hip strong.',
	adduction: 'A little crossing keeps the outer hip from tightening; nobody needs much.',
	internalRotation:
		'Classes usually turn out three times as much as they turn in; this band keeps turning in from being forgotten.',
	externalRotation: 'Turning out opens the seats on the floor; it comes by itself, so the band has an end.',
	strength: 'Own strength keeps what stretching wins, so a third to a half of the work should be active.'
};

/** Starting targets by kind of group: this product's own defaults (common practice, no source), all editable. */
const ALL: Record<PresetId, Omit<Preset, 'id' | 'because'> & { because: Partial<Preset['because']> }> = {
	general: {
		label: 'A mixed group',
		targets: targets([12, 28], [12, 25], [12, 25], [5, 15], [12, 25], [15, 30], [30, 50]),
		purposes: [],
		because: {}
	},
	runners: {
		label: 'Runners and walkers',
		targets: targets([12, 25], [18, 32], [8, 20], [8, 18], [14, 26], [12, 25], [30, 50]),
		purposes: ['hip extension under the trunk', 'level pelvis', 'single-leg strength', 'push-off', 'step-up'],
		because: {
			extension: 'Each stride ends with the thigh behind; the front of the hip shortens first.',
			abduction: 'Wide shapes matter less on a straight path than a strong outer hip.',
			adduction: 'The outer hip is what tightens from holding the pelvis level on one leg.',
			internalRotation: 'The leg turns in as it takes the weight, and running classes rarely train it.',
			strength: 'Abductors and extensors first: they hold the pelvis level at every step.'
		}
	},
	climbers: {
		label: 'Climbers',
		targets: targets([18, 32], [8, 18], [16, 30], [4, 12], [12, 22], [18, 32], [40, 60]),
		purposes: [
			'turned-out squat',
			'high step',
			'dropped knee',
			'wide straddle',
			'heel perch',
			'end-range lift'
		],
		because: {
			flexion: 'A high step is deep flexion under load.',
			abduction: 'Hips close to the wall means legs wide.',
			internalRotation: 'A dropped knee is turning in at the end of range.',
			externalRotation: 'The turned-out stance is where climbers spend their day.',
			strength: 'Range without strength at its end does not hold a foot on a small hold.'
		}
	},
	beginners: {
		label: 'Beginners',
		targets: targets([14, 30], [10, 22], [12, 25], [5, 12], [10, 20], [15, 28], [15, 35]),
		purposes: ['getting down and up', 'floor sitting', 'balance with support'],
		because: {
			internalRotation: 'Asked for gently: it is the least known direction.',
			strength: 'Supported and quiet at first; strength follows once the shapes are known.'
		}
	},
	'desk workers': {
		label: 'Desk workers',
		targets: targets([10, 22], [20, 34], [10, 22], [6, 15], [14, 26], [14, 26], [30, 50]),
		purposes: ['hip extension under the trunk', 'turning both ways', 'standing up from a seat'],
		because: {
			flexion: 'The chair gives enough flexion already.',
			extension: 'What has been folded all day wants to open in front.',
			strength: 'The seat muscles have slept; waking them is half of the class.'
		}
	},
	lifters: {
		label: 'Lifters',
		targets: targets([16, 30], [15, 28], [12, 24], [5, 12], [14, 26], [14, 26], [25, 45]),
		purposes: ['deep flexion', 'adductors at length', 'hip extension under the trunk'],
		because: {
			flexion: 'Depth in the squat is flexion.',
			strength: 'After training the holds are engaged but no second workout.'
		}
	},
	rowers: {
		label: 'Rowers',
		targets: targets([14, 28], [16, 30], [10, 22], [5, 14], [12, 24], [14, 28], [30, 50]),
		purposes: ['deep flexion', 'hinge with a long back', 'sit on the heels'],
		because: {
			flexion: 'The catch is deep flexion at each stroke; it wants room without a rounding back.',
			extension: 'The stroke never opens the hip all the way, so the front of it shortens.',
			externalRotation: 'Knees a little apart at the catch make room for the trunk.',
			strength: 'Seat and trunk hang on to the boat; before training they are woken, not tired.'
		}
	},
	'very mobile': {
		label: 'Very mobile people',
		targets: targets([8, 20], [10, 22], [8, 20], [6, 15], [12, 24], [10, 22], [55, 80]),
		purposes: ['mid-range control'],
		because: {
			strength:
				'Strength in mid range protects joints that already move far; long passive end range does not.'
		}
	}
};

/** A preset by its id: label and targets, with the reason for each band. */
export function preset(id: PresetId): Preset {
	return { id, ...ALL[id], because: { ...BECAUSE, ...ALL[id].because } };
}

/** Returns the assumed tiers of a group: three in ten tight, two open, the others in between (common practice, no source). */
export function usualTiers(size: number): Group['tiers'] {
	const tight = Math.round(0.3 * size);
	const open = Math.round(0.2 * size);
	return { tight, middling: size - tight - open, open };
}

/** A new group from a preset: everything filled in, everything editable. */
export function newGroup(id: PresetId, name: string): Group {
	const from = preset(id);
	return {
		name,
		discipline: from.label.toLowerCase(),
		preset: id,
		size: 10,
		tiers: usualTiers(10),
		moment: 'evening',
		weekday: 2,
		startsAt: '18:30',
		lengthSeconds: 2700,
		room: '',
		cautions: [],
		kit: { ...USUAL_KIT },
		targets: structuredClone(from.targets),
		purposes: [...from.purposes],
		note: ''
	};
}
