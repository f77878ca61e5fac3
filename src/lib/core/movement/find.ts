import MiniSearch from 'minisearch';
import { memoize } from './memoize';
import { POSITION_NAME, type Movement } from './types';

/** Lower case, without accents and signs: what a search compares. */
export function plainText(text: string): string {
	return text
		.normalize('NFD')
		.replace(/\p{Diacritic}/gu, '')
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, ' ')
		.trim();
}

/** Names count more than what a movement is for. */
const BOOST = { english: 4, others: 2 } as const;
/** Returns how many letters of a word may be wrong: two that changed places are two. */
const wrongLetters = (word: string): number => (word.length < 4 ? 0 : word.length < 6 ? 1 : 2);

/** An index of the names, position and purposes of movements. */
const indexOf = memoize((movements: readonly Movement[]) => {
	const index = new MiniSearch<{ id: number; english: string; others: string; about: string }>({
		fields: ['english', 'others', 'about'],
		tokenize: (text) => plainText(text).split(' ').filter(Boolean),
		processTerm: (term) => term
	});
	index.addAll(
		movements.map(({ english, sanskrit, slug, aliases, position, purposes }, id) => ({
			id,
			english,
			others: [sanskrit, slug, ...aliases].join(' '),
			about: [position, POSITION_NAME[position], ...purposes].join(' ')
		}))
	);
	return index;
});

/**
 * Returns the movements that a search names: each of its words begins a word of the English or Sanskrit name, another
 * spelling, the position or a purpose, in any order, accents ignored. Where there is none, words with a typing error are
 * found. The name itself comes first, then names that begin with the search, then the others, best first. An empty
 * search gives all, by name.
 */
export function searchMovements(movements: readonly Movement[], search: string): Movement[] {
	const wanted = plainText(search);
	const byName = (a: Movement, b: Movement) => a.english.localeCompare(b.english, 'en');
	if (!wanted) return [...movements].sort(byName);
	const index = indexOf(movements);
	const options = { boost: BOOST, combineWith: 'AND', prefix: true } as const;
	const exact = index.search(wanted, options);
	const found = exact.length ? exact : index.search(wanted, { ...options, fuzzy: wrongLetters });
	const rank = ({ english }: Movement) => {
		const name = plainText(english);
		return name === wanted ? 0 : name.startsWith(wanted) ? 1 : 2;
	};
	return found
		.map(({ id, score }) => ({ movement: movements[id as number]!, score }))
		.sort(
			(a, b) =>
				rank(a.movement) - rank(b.movement) ||
				(rank(a.movement) < 2 ? 0 : b.score - a.score) ||
				byName(a.movement, b.movement)
		)
		.map(({ movement }) => movement);
}
