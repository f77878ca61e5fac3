import { eachIn, type DocumentKind, type Json } from '../validation';
import { movementSchema } from './schema';
import type { PropSite } from './types';

/** A movement as it is kept. 2: where kit lies is a field of its own, and no longer only said. 3: what it is done for. */
export const MOVEMENT: DocumentKind = {
	name: 'movement',
	schema: movementSchema,
	steps: [
		(movement) =>
			eachIn(movement, 'forms', (form) =>
				eachIn(form, 'props', (prop) => ({ site: siteInWords(prop, movement), ...prop }))
			),
		(movement) => ({ purposes: [], ...movement })
	]
};

/** Words by which version 1 placed kit in a drawing, by kind of kit; the first match counts. */
const WORDS: Record<'wall space' | 'strap' | 'chair' | 'other', readonly [RegExp, PropSite][]> = {
	'wall space': [
		[/beside/, 'beside'],
		[/behind/, 'behind'],
		[/(?:)/, 'in front']
	],
	strap: [
		[/back foot/, 'trail foot'],
		[/(?:)/, 'lead foot']
	],
	chair: [
		[/to sit on|behind/, 'hips'],
		[/calves/, 'calves'],
		[/beside/, 'beside'],
		[/(?:)/, 'in front']
	],
	other: [
		[/under the hand|under the forearms/, 'hands'],
		[/knees/, 'knees'],
		[/^(?!.*open knee).*(back knee|dropping knee|the knee$)/, 'trail knee'],
		[/knee|thigh/, 'lead knee'],
		[/foot|heel/, 'lead foot'],
		[/head/, 'head'],
		[/chest/, 'chest'],
		[/(?:)/, 'hips']
	]
};

function siteInWords({ kit, place }: Json, { position }: Json): PropSite {
	const kind =
		kit === 'belt' ? 'strap' : kit === 'strap' || kit === 'chair' || kit === 'wall space' ? kit : 'other';
	const site = WORDS[kind].find(([words]) => words.test(String(place)))![1];
	// with the legs up a wall, "behind" is behind the legs
	return kind === 'wall space' && position === 'wall-supine' && site === 'behind' ? 'in front' : site;
}
