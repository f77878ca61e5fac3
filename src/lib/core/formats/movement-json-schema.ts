import { DIRECTIONS, MUSCLE_GROUPS, TISSUES } from '../anatomy';
import {
	ARMS,
	CAUTIONS,
	CROSSINGS,
	DOSE_UNITS,
	FAMILIES,
	FORM_IDS,
	KIT_KINDS,
	MODES,
	POSITIONS,
	TEMPOS,
	TOUCHES
} from '../movement';
import { closed, oneOf, line, text, whole, type Json } from './json-words';

const slug: Json = { type: 'string', pattern: '^[a-z0-9]+(-[a-z0-9]+)*$', maxLength: 60 };
const list = (items: Json, maxItems = 12): Json => ({ type: 'array', maxItems, items });
const degrees: Json = { type: 'number', description: 'degrees' };

const legAction = closed({
	positions: {
		type: 'array',
		minItems: 1,
		maxItems: 6,
		items: closed(Object.fromEntries(DIRECTIONS.map((d) => [d, degrees])), [...DIRECTIONS])
	},
	kneeDeg: { type: 'array', items: degrees },
	lengthens: list(oneOf(TISSUES), TISSUES.length),
	works: list(oneOf(MUSCLE_GROUPS), MUSCLE_GROUPS.length)
});
const action: Json = {
	oneOf: [closed({ both: legAction }), closed({ lead: legAction, trail: legAction })],
	description: 'hip angles held (one position) or swung through (several)'
};

const dose = closed(
	{
		unit: oneOf(DOSE_UNITS),
		min: whole(1, 10_000),
		usual: whole(1, 10_000),
		max: whole(1, 10_000),
		tempo: oneOf(TEMPOS),
		breathsPerRound: { type: 'number', minimum: 1 }
	},
	['tempo', 'breathsPerRound']
);

const form = closed(
	{
		id: oneOf(FORM_IDS),
		how: line(200),
		props: list(closed({ kit: oneOf(KIT_KINDS), count: whole(1, 6), place: line(200) }), 8),
		intensity: whole(1, 5),
		effort: whole(0, 3),
		dose,
		doseIn: closed(Object.fromEntries(MODES.map((mode) => [mode, dose])), [...MODES]),
		action,
		leaveSeconds: whole(0, 60)
	},
	['doseIn', 'action']
);

/** A movement, as it stands in a plan file that uses one of a teacher's own. */
export const movementJsonSchema = closed(
	{
		slug,
		english: line(80),
		sanskrit: line(80),
		aliases: list(line(80)),
		position: oneOf(POSITIONS),
		families: list(oneOf(FAMILIES)),
		modes: { type: 'array', minItems: 1, items: oneOf(MODES) },
		action,
		forms: { type: 'array', minItems: 1, maxItems: FORM_IDS.length, items: form },
		setUp: text(500),
		watch: text(500),
		mistakes: text(500),
		leave: text(500),
		mirrored: text(300),
		crosses: oneOf(CROSSINGS),
		prerequisites: list(slug),
		preparations: list(slug),
		counters: list(slug),
		kin: list(slug),
		cautions: list(
			closed({
				caution: oneOf(CAUTIONS),
				advice: text(300),
				instead: slug,
				okIn: list(oneOf(FORM_IDS), FORM_IDS.length)
			}),
			CAUTIONS.length
		),
		pose: closed(
			{
				pitchDeg: degrees,
				bendDeg: degrees,
				sideDeg: degrees,
				arms: oneOf(ARMS),
				lead: list(oneOf(TOUCHES), 2),
				trail: list(oneOf(TOUCHES), 2),
				at: whole(0, 5),
				seat: oneOf(['floor', 'free']),
				view: oneOf(['side', 'front'])
			},
			['pitchDeg', 'bendDeg', 'sideDeg', 'arms', 'lead', 'trail', 'at', 'seat', 'view']
		)
	},
	['crosses']
);
