import { DIRECTIONS } from '../../anatomy';
import { blocksOf, type ClassPlan } from '../../plan';
import type { Check, CheckContext, Report } from '../types';

/** Number words up to an hour, as titles and welcomes have them; one is no promise ("one shape at a time"). */
const NUMBER_WORDS: Record<string, number> = {
	two: 2,
	three: 3,
	four: 4,
	five: 5,
	six: 6,
	seven: 7,
	eight: 8,
	nine: 9,
	ten: 10,
	eleven: 11,
	twelve: 12,
	fifteen: 15,
	twenty: 20,
	thirty: 30,
	forty: 40,
	'forty-five': 45,
	fifty: 50,
	sixty: 60,
	ninety: 90
};
const PROMISE = new RegExp(
	`\\b(\\d{1,3}|${Object.keys(NUMBER_WORDS)
		.sort((a, b) => b.length - a.length)
		.join('|')})[ -](shapes?|poses?|postures?|movements?|directions?|minutes?)\\b`,
	'giu'
);

/** A direction comes in a class from this share of the direction time on. Common practice, no source. */
const COMES_FROM_PERCENT = 2;

/** Counts what a class has of a thing that can be promised. */
const COUNTS: Record<'shapes' | 'directions' | 'minutes', (context: CheckContext) => number> = {
	shapes: ({ items }) =>
		new Set(items.filter(({ item }) => item.mode !== 'rest').map(({ movement }) => movement.slug)).size,
	directions: ({ balance }) =>
		DIRECTIONS.filter((d) => balance.directions[d].sharePercent >= COMES_FROM_PERCENT).length,
	minutes: ({ plan }) => Math.round(plan.lengthSeconds / 60)
};

/** A number in a title or welcome, and what it counts. */
interface Promised {
	words: string;
	number: number;
	thing: keyof typeof COUNTS;
}

function promisesIn(text: string): Promised[] {
	return [...text.matchAll(PROMISE)].map(([words, number = '', noun = '']) => {
		const one = noun.toLowerCase();
		return {
			words,
			number: NUMBER_WORDS[number.toLowerCase()] ?? Number(number),
			thing: one.startsWith('direction') ? 'directions' : one.startsWith('minute') ? 'minutes' : 'shapes'
		};
	});
}

/** Title, theme and the first words of a class, each with where it stands. */
function saidFirst(plan: ClassPlan): { text: string; blockId?: string }[] {
	const welcome = blocksOf(plan).find(({ block }) => block.kind === 'talk')?.block;
	return [
		{ text: plan.title },
		{ text: plan.theme ?? '' },
		...(welcome?.kind === 'talk' ? [{ text: welcome.label, blockId: welcome.id }] : [])
	];
}

export const promiseKept: Check = {
	meta: {
		id: 'promise-kept',
		summary: 'Numbers in the title and the welcome are those of the class',
		severity: 'note',
		why: 'People count: "five shapes" that are seven, or "thirty minutes" that are forty, are noticed.',
		source: 'common practice',
		canRepair: false
	},
	check(context) {
		if (context.items.length === 0) return [];
		const promises = saidFirst(context.plan).flatMap(({ text, blockId }) =>
			promisesIn(text).map((promise) => ({ ...promise, blockId }))
		);
		return promises.flatMap(({ words, number, thing, blockId }, index): Report[] => {
			const count = COUNTS[thing](context);
			// ten minutes of an hour are a part of it
			const isPart = thing === 'minutes' && number < count / 2;
			const isSaid = promises.slice(0, index).some((p) => p.thing === thing && p.number === number);
			if (count === number || isPart || isSaid) return [];
			return [
				{
					message: `“${words}” is promised; the class has ${count}`,
					where: blockId === undefined ? {} : { blockId },
					data: { thing, promised: number, counted: count }
				}
			];
		});
	}
};
