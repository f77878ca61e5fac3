import { DIRECTIONS, LEGS } from '../anatomy';
import { MOST_CHANGEOVER_MINUTES } from '../calendar';
import { QUESTION_IDS, questionOf } from '../style';
import { MOMENTS, PRESETS, TIERS } from '../group';
import { CAUTIONS, FORM_IDS, HOLD_UNITS, KIT_KINDS, MODES } from '../movement';
import { TALK_STYLES } from '../pace';
import { TEST_IDS } from '../measure';
import { FLOW_SIDES, LINKS, PINNED_PHASES, PLAN_LIMITS, SECTION_KINDS } from '../plan';
import { movementJsonSchema } from './movement-json-schema';
import { closed, line, oneOf, text, whole, type Json } from './json-words';
import { GROUP_FORMAT, GROUP_FORMAT_VERSION } from './group-file';
import { SERIES_LIMITS } from '../series';
import { PLAN_FORMAT, PLAN_FORMAT_VERSION } from './plan-file';
import { SERIES_FORMAT, SERIES_FORMAT_VERSION } from './series-file';

const time: Json = { type: 'string', pattern: '^([01]\\d|2[0-3]):[0-5]\\d$' };
const day: Json = { type: 'string', pattern: '^\\d{4}-\\d{2}-\\d{2}$' };
const length: Json = {
	...whole(PLAN_LIMITS.minLengthSeconds, PLAN_LIMITS.maxLengthSeconds),
	description: 'seconds'
};
const id: Json = { type: 'string', pattern: '^[A-Za-z0-9_-]{1,40}$' };

const item = closed(
	{
		kind: { const: 'item' },
		id,
		movement: { type: 'string', pattern: '^[a-z0-9]+(-[a-z0-9]+)*$', description: 'slug of the catalogue' },
		form: oneOf(FORM_IDS),
		mode: oneOf(MODES),
		dose: { ...whole(1, 10_000), description: 'in the unit of the form, per side' },
		lead: { ...oneOf(LEGS), description: 'the leg that leads on the first side' },
		link: { ...oneOf(LINKS), description: 'in a chain or flow: why another leg leads than before' },
		unit: { ...oneOf(HOLD_UNITS), description: 'a hold counted another way than the catalogue does' },
		moreOn: closed({ leg: oneOf(LEGS), dose: whole(1, 600) }),
		confirmed: {
			type: 'array',
			maxItems: CAUTIONS.length,
			items: closed({ caution: oneOf(CAUTIONS), on: day })
		},
		oneSided: closed({ reason: text(PLAN_LIMITS.noteCharacters) }),
		phases: {
			...closed(
				Object.fromEntries(PINNED_PHASES.map((phase) => [phase, whole(0, PLAN_LIMITS.phaseSeconds)])),
				[...PINNED_PHASES]
			),
			description: 'seconds of the phases round the work, where they are pinned'
		},
		pinned: { type: 'boolean' },
		noticeSeconds: whole(0, PLAN_LIMITS.noticeSeconds),
		note: text(PLAN_LIMITS.noteCharacters)
	},
	['link', 'unit', 'moreOn', 'phases', 'confirmed', 'oneSided', 'pinned', 'noticeSeconds', 'note']
);

const seconds = (minimum: number, maximum: number): Json => ({ type: 'number', minimum, maximum });

const plan = closed(
	{
		title: line(PLAN_LIMITS.titleCharacters),
		lengthSeconds: length,
		startsAt: time,
		pace: closed(
			{
				talk: oneOf(TALK_STYLES),
				heldBreathSeconds: seconds(3, 15),
				movingBreathSeconds: seconds(2, 12),
				countSeconds: seconds(0.5, 4),
				setUpSeconds: seconds(0, 60),
				changeSidesSeconds: seconds(0, 120),
				changeSidesWithPropSeconds: seconds(0, 120),
				moveSeconds: seconds(0, 60)
			},
			[
				'talk',
				'heldBreathSeconds',
				'movingBreathSeconds',
				'countSeconds',
				'setUpSeconds',
				'changeSidesSeconds',
				'changeSidesWithPropSeconds',
				'moveSeconds'
			]
		),
		style: {
			...closed(
				Object.fromEntries(QUESTION_IDS.map((id) => [id, oneOf(questionOf(id).schools.map((s) => s.id))])),
				[...QUESTION_IDS]
			),
			description: 'where the schools differ: what is chosen; what is left out has the first school'
		},
		firstSide: oneOf(LEGS),
		silenced: {
			type: 'array',
			maxItems: 500,
			items: closed(
				{
					check: { type: 'string', pattern: '^[a-z]+(-[a-z]+)*$', maxLength: 60 },
					itemId: id,
					reason: { ...text(PLAN_LIMITS.noteCharacters), minLength: 1 }
				},
				['itemId']
			)
		},
		madeWith: { type: 'object', additionalProperties: { type: 'string', pattern: '^[0-9a-f]{16}$' } },
		sections: {
			type: 'array',
			minItems: 1,
			maxItems: 30,
			items: closed({
				id,
				kind: oneOf(SECTION_KINDS),
				blocks: {
					type: 'array',
					items: {
						oneOf: [
							item,
							closed({
								kind: { const: 'chain' },
								id,
								items: { type: 'array', minItems: 1, maxItems: PLAN_LIMITS.itemsInChain, items: item }
							}),
							closed(
								{
									kind: { const: 'flow' },
									id,
									items: { type: 'array', minItems: 1, maxItems: PLAN_LIMITS.itemsInChain, items: item },
									rounds: {
										...whole(1, PLAN_LIMITS.rounds),
										description: 'on each side where they are mirrored'
									},
									sides: oneOf(FLOW_SIDES),
									breathsEach: {
										...whole(1, PLAN_LIMITS.breathsEach),
										description: 'breaths joined to each movement; left out: its own dose'
									}
								},
								['breathsEach']
							),
							closed({
								kind: { const: 'test' },
								id,
								test: oneOf(TEST_IDS),
								seconds: whole(5, PLAN_LIMITS.testSeconds)
							}),
							closed({
								kind: { const: 'talk' },
								id,
								label: line(PLAN_LIMITS.titleCharacters),
								seconds: whole(1, PLAN_LIMITS.talkSeconds)
							})
						]
					}
				}
			})
		}
	},
	['style', 'firstSide', 'silenced', 'madeWith']
);

const band = closed({ minPercent: seconds(0, 100), maxPercent: seconds(0, 100) });

const group = closed(
	{
		name: { ...line(80), minLength: 1 },
		discipline: line(120),
		preset: oneOf(PRESETS),
		size: whole(1, 200),
		tiers: closed(Object.fromEntries(TIERS.map((tier) => [tier, whole(0, 500)]))),
		moment: oneOf(MOMENTS),
		weekday: { ...whole(1, 7), description: 'ISO weekday, 1 is Monday' },
		startsAt: time,
		lengthSeconds: length,
		room: line(80),
		changeover: {
			...closed({
				beforeMinutes: whole(0, MOST_CHANGEOVER_MINUTES),
				afterMinutes: whole(0, MOST_CHANGEOVER_MINUTES)
			}),
			description: 'how long the room is kept before and after a class'
		},
		cautions: {
			type: 'array',
			maxItems: CAUTIONS.length,
			items: closed({ caution: oneOf(CAUTIONS), people: whole(1, 200) })
		},
		kit: { ...closed(Object.fromEntries(KIT_KINDS.map((kit) => [kit, whole(0, 2000)])), [...KIT_KINDS]) },
		kitEach: {
			...closed(Object.fromEntries(KIT_KINDS.map((kit) => [kit, whole(0, 20)])), [...KIT_KINDS]),
			description: 'what each person brings'
		},
		targets: closed({
			directions: closed(Object.fromEntries(DIRECTIONS.map((d) => [d, band]))),
			strength: band
		}),
		note: text(PLAN_LIMITS.noteCharacters)
	},
	['changeover', 'kitEach']
);

const slug: Json = { type: 'string', pattern: '^[a-z0-9]+(-[a-z0-9]+)*$' };
const weekNumber = whole(1, SERIES_LIMITS.weeks);
const list = (items: Json, maxItems: number, minItems = 0): Json => ({
	type: 'array',
	minItems,
	maxItems,
	items
});

const series = closed({
	title: { ...line(120), minLength: 1 },
	goal: text(PLAN_LIMITS.noteCharacters),
	timeZone: { ...text(64), description: 'IANA name of the zone of the studio' },
	startsOn: day,
	weeks: weekNumber,
	meetings: list(
		closed({ weekday: { ...whole(1, 7), description: 'ISO weekday, 1 is Monday' }, startsAt: time }),
		SERIES_LIMITS.meetings,
		1
	),
	lengthSeconds: length,
	skipped: list(day, SERIES_LIMITS.skipped),
	ladders: list(
		closed({
			rungs: {
				...list(
					closed({
						movement: slug,
						form: oneOf(FORM_IDS),
						mode: oneOf(MODES),
						dose: { ...whole(1, 10_000), description: 'in the unit of the form, per side' }
					}),
					SERIES_LIMITS.rungs,
					1
				),
				description: 'from the first step to the goal'
			}
		}),
		SERIES_LIMITS.ladders
	),
	themes: list(
		closed({ words: line(120), more: oneOf(DIRECTIONS), toward: slug }, ['more', 'toward']),
		SERIES_LIMITS.weeks
	),
	easierEvery: { ...whole(0, SERIES_LIMITS.weeks), description: '0: no week is easier' },
	retest: closed({ test: oneOf(TEST_IDS), weeks: list(weekNumber, SERIES_LIMITS.weeks) }),
	repeats: whole(1, 12),
	mostNew: whole(0, 12),
	mostUpPercent: whole(0, 100),
	keepPercent: whole(0, 100),
	classes: list(
		closed(
			{
				id: { type: 'string', pattern: '^[A-Za-z0-9_-]{6,24}$' },
				on: day,
				startsAt: time,
				week: whole(1, SERIES_LIMITS.weeks + 1),
				proposedAs: { type: 'string', pattern: '^[0-9a-f]{8}$', description: 'a mark of what was proposed' },
				run: closed({
					effort: { ...seconds(0, 10), description: 'as the group says it, 0-10' },
					minutes: seconds(0, 600),
					leftOut: list(slug, 200),
					note: text(PLAN_LIMITS.noteCharacters)
				})
			},
			['proposedAs', 'run']
		),
		SERIES_LIMITS.weeks * SERIES_LIMITS.meetings + SERIES_LIMITS.missed
	),
	missed: list(closed({ on: day, why: line(200) }), SERIES_LIMITS.missed)
});

function envelope(
	title: string,
	format: string,
	version: number,
	properties: Record<string, Json>,
	optional: string[]
) {
	return {
		$schema: 'https://json-schema.org/draft/2020-12/schema',
		title,
		...closed(
			{ $schema: { type: 'string' }, format: { const: format }, version: { const: version }, ...properties },
			['$schema', ...optional]
		)
	};
}

/** JSON Schemas (2020-12) of the open formats; written to static/schemas by `npm run files`. */
export const JSON_SCHEMAS = {
	'plan-1.schema.json': envelope(
		'Humble Orbit class plan',
		PLAN_FORMAT,
		PLAN_FORMAT_VERSION,
		{ plan, group, movements: { type: 'array', maxItems: 200, items: movementJsonSchema } },
		['group', 'movements']
	),
	'group-1.schema.json': envelope('Humble Orbit group', GROUP_FORMAT, GROUP_FORMAT_VERSION, { group }, []),
	'series-1.schema.json': envelope(
		'Humble Orbit series',
		SERIES_FORMAT,
		SERIES_FORMAT_VERSION,
		{
			series,
			plans: { type: 'object', additionalProperties: plan },
			group,
			movements: { type: 'array', maxItems: 200, items: movementJsonSchema }
		},
		['movements']
	)
} satisfies Record<string, Json>;
