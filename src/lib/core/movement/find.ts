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

/** Searchable text of a movement, normalised once: a search runs at every keystroke. */
interface Searched {
	names: string[];
	all: string;
}
const searched = new WeakMap<Movement, Searched>();

function textOf(movement: Movement): Searched {
	let known = searched.get(movement);
	if (!known) {
		const names = [movement.english, movement.sanskrit, movement.slug, ...movement.aliases]
			.map(plainText)
			.filter(Boolean);
		known = {
			names,
			all: [
				...names,
				plainText(movement.position),
				plainText(POSITION_NAME[movement.position]),
				...movement.purposes.map(plainText)
			].join(' ')
		};
		searched.set(movement, known);
	}
	return known;
}

/** 0 the name itself, 1 it begins so, 2 another of its names does, 3 it is somewhere inside. */
function rank([english = '', ...others]: string[], wanted: string): number {
	if (english === wanted) return 0;
	if (english.startsWith(wanted)) return 1;
	return others.some((name) => name.startsWith(wanted)) ? 2 : 3;
}

/**
 * Movements whose English or Sanskrit name, other spelling, slug, position or purpose holds every word of the search, in
 * any order, accents ignored. The name itself comes first, then names that begin with it, then other spellings that
 * do. An empty search gives all.
 */
export function searchMovements(movements: readonly Movement[], search: string): Movement[] {
	const wanted = plainText(search);
	const words = wanted.split(' ').filter(Boolean);
	const scored = movements.flatMap((movement) => {
		const { names, all } = textOf(movement);
		if (!words.every((word) => all.includes(word))) return [];
		return [{ movement, rank: rank(names, wanted) }];
	});
	return scored
		.sort((a, b) => a.rank - b.rank || a.movement.english.localeCompare(b.movement.english, 'en'))
		.map(({ movement }) => movement);
}
