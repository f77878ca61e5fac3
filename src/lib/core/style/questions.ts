import type { Family, Movement } from '../movement';

/** One answer that a school gives. */
export interface School {
	id: string;
	label: string;
	/** The position of the school, in one line. */
	line: string;
	/** The cue in the shapes that the question is about. */
	cue?: string;
}

/** One question on which practitioners disagree. The first school is the usual one where nothing is chosen. */
export interface Question {
	ask: string;
	schools: readonly [School, School, ...School[]];
	/** Families of shapes in which the cue is said. */
	families?: readonly Family[];
	/** Effects of the choice besides cues, for the teacher who chooses. */
	changes: string;
}

/** All of them: common practice, no published source. Ids are permanent; they stand in plans and files. */
export const QUESTIONS = {
	pigeonShin: {
		ask: 'The front shin in pigeon',
		families: ['pigeon'],
		changes: 'the cue, and which form of pigeon is offered first',
		schools: [
			{
				id: 'heel in',
				label: 'Heel drawn in',
				line: 'The heel comes near the other hip: kinder to the knee.',
				cue: 'Draw the front heel in toward the other hip.'
			},
			{
				id: 'parallel',
				label: 'Shin parallel to the front edge',
				line: 'The shin lies across: deeper, and asks for an active foot.',
				cue: 'Bring the front shin toward parallel with the front edge, foot flexed.'
			}
		]
	},
	frontFoot: {
		ask: 'The front foot in pigeon',
		families: ['pigeon'],
		changes: 'the cue',
		schools: [
			{
				id: 'flexed',
				label: 'Flexed',
				line: 'A working foot guards the knee.',
				cue: 'Flex the front foot and keep it awake.'
			},
			{
				id: 'pointed',
				label: 'Pointed',
				line: 'A soft foot lets the shin lie down.',
				cue: 'Let the front foot lengthen along the floor.'
			}
		]
	},
	foldBack: {
		ask: 'The back in forward folds',
		families: ['forward fold'],
		changes: 'the cue; with a sore back in the room a check speaks up',
		schools: [
			{
				id: 'long',
				label: 'Long, from the hip',
				line: 'The hip does the folding and the back stays long.',
				cue: 'Hinge from the hips and stop where the back would round.'
			},
			{
				id: 'round',
				label: 'Rounding welcome',
				line: 'The whole back line lets go, and the head may hang.',
				cue: 'Let the back round and the head grow heavy.'
			}
		]
	},
	lungeHips: {
		ask: 'The hips in a low lunge',
		families: ['low lunge'],
		changes: 'the cue',
		schools: [
			{
				id: 'sink',
				label: 'Sink forward and down',
				line: 'Weight carries the hip open.',
				cue: 'Let the hips travel forward and down while the low belly lifts.'
			},
			{
				id: 'draw back',
				label: 'Draw back over the knee',
				line: 'Muscle opens the hip: less weight, more work.',
				cue: 'Keep the hips over the back knee and press the front foot as if to pull it back.'
			}
		]
	},
	warriorPelvis: {
		ask: 'The pelvis in warriors',
		families: ['warrior'],
		changes: 'the cue',
		schools: [
			{
				id: 'free',
				label: 'Not forced',
				line: 'The pelvis turns as the hips let it.',
				cue: 'Let the pelvis face where the hips allow.'
			},
			{
				id: 'squared',
				label: 'Squared',
				line: 'The pelvis is brought square to the shape.',
				cue: 'Bring both hip points level to the shape.'
			}
		]
	},
	backToes: {
		ask: 'The back toes in lunges and pigeon',
		families: ['low lunge', 'lunge', 'pigeon'],
		changes: 'the cue',
		schools: [
			{
				id: 'untucked',
				label: 'Untucked',
				line: 'The top of the foot lies down and the leg lengthens.',
				cue: 'Lay the back toes down.'
			},
			{
				id: 'tucked',
				label: 'Tucked',
				line: 'The toes push: more strength, less rest.',
				cue: 'Tuck the back toes and push through the heel.'
			}
		]
	},
	holding: {
		ask: 'Long holds',
		changes: 'usual and longest dose of passive holds',
		schools: [
			{
				id: 'as listed',
				label: 'As the catalogue has it',
				line: 'Each shape has its own usual length.'
			},
			{ id: 'active', label: 'Active, at most two minutes', line: 'Nobody hangs in a joint for long.' },
			{
				id: 'quiet',
				label: 'Quiet, three to five minutes',
				line: 'Muscles let go, and time does the work.'
			}
		]
	},
	counting: {
		ask: 'What counts the time of a hold',
		changes: 'the unit in which new holds are counted',
		schools: [
			{ id: 'as listed', label: 'As the catalogue has it', line: 'Some by breath, some by the clock.' },
			{ id: 'breaths', label: 'Breaths', line: 'The breath is the clock that everybody has with them.' },
			{ id: 'seconds', label: 'The clock', line: 'Seconds are the same for all.' }
		]
	},
	sides: {
		ask: 'How much each side gets',
		changes: 'whether more on one side is offered or found by a check',
		schools: [
			{ id: 'equal', label: 'Equal', line: 'Both sides get the same.' },
			{
				id: 'more time',
				label: 'More time on the tighter side',
				line: 'The tighter or weaker side may be given longer.'
			},
			{
				id: 'more sets',
				label: 'Another set on the tighter side',
				line: 'The tighter side is visited again.'
			},
			{
				id: 'more props',
				label: 'Another prop, the same time',
				line: 'The tighter side is propped, not stretched longer.'
			}
		]
	},
	firstSide: {
		ask: 'Which side goes first',
		changes: 'the leading leg of what is added',
		schools: [
			{ id: 'same', label: 'Always the same', line: 'A habit is one thing less to think of.' },
			{
				id: 'alternate',
				label: 'Alternating between classes',
				line: 'The side that goes first is taught best, so take turns.'
			}
		]
	},
	runningSides: {
		ask: 'How sides run',
		changes: 'whether what is added joins a chain',
		schools: [
			{ id: 'swap', label: 'Swap after each item', line: 'One shape, both sides, then the next.' },
			{
				id: 'chain',
				label: 'A chain, then mirrored',
				line: 'Several shapes on one side, then all of them on the other.'
			}
		]
	},
	supports: {
		ask: 'Supports',
		changes: 'which form is offered first',
		schools: [
			{
				id: 'where needed',
				label: 'Only where needed',
				line: 'The plain shape first; props for whom they help.'
			},
			{
				id: 'from the start',
				label: 'On both sides from the start',
				line: 'Everybody builds the supported shape and may take it away.'
			}
		]
	},
	beforeSport: {
		ask: 'Before sport',
		changes: 'a check on classes before sport',
		schools: [
			{ id: 'dynamic only', label: 'Dynamic only', line: 'Nothing is held before a run or a climb.' },
			{ id: 'short holds', label: 'Short holds allowed', line: 'Under a minute a muscle, then moving again.' }
		]
	}
} as const satisfies Record<string, Question>;

export type QuestionId = keyof typeof QUESTIONS;
export const QUESTION_IDS = Object.keys(QUESTIONS) as QuestionId[];
export type SchoolId<Q extends QuestionId> = (typeof QUESTIONS)[Q]['schools'][number]['id'];

/** A question on which the schools differ, by its id. */
export function questionOf(id: QuestionId): Question {
	return QUESTIONS[id];
}

/** Returns the cues of a style for a movement: one for each question that concerns its families. */
export function cuesFor(movement: Movement, choices: { [Q in QuestionId]?: SchoolId<Q> }): string[] {
	return QUESTION_IDS.flatMap((id) => {
		const { families, schools } = questionOf(id);
		if (!families?.some((family) => movement.families.includes(family))) return [];
		const school = schools.find((s) => s.id === choices[id]) ?? schools[0];
		return school.cue ? [school.cue] : [];
	});
}
