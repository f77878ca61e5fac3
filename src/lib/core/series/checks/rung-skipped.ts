import { FORM_IDS } from '../../movement';
import { itemsOf } from '../../plan';
import { missingIn } from '../analysis';
import { rungOf } from '../schedule';
import type { SeriesCheck, SeriesReport } from './types';

export const rungSkipped: SeriesCheck = {
	meta: {
		id: 'rung-skipped',
		summary: 'Ladders are climbed rung by rung',
		severity: 'fix',
		why: 'Each form builds on the one before; a rung needs to come at least twice.',
		source: 'common practice'
	},
	check({ classes, planned, context }) {
		const { series } = planned;
		// classes before the last taught one can no longer change
		const over = classes.findLastIndex(({ run }) => run) + 1;
		return classes.slice(over).flatMap((c): SeriesReport[] => {
			if (!c.plan) return [];
			const name = (slug: string) => context.find(slug)?.english ?? slug;
			const ahead = c.given.flatMap((given) => {
				const now = rungOf(series, given);
				const item = itemsOf(c.plan!).find(
					(i) => i.movement === now.movement && FORM_IDS.indexOf(i.form) > FORM_IDS.indexOf(now.form)
				);
				return item ? [{ item, now }] : [];
			});
			if (ahead[0])
				return [
					{
						message: `class ${c.number} has ${name(ahead[0].item.movement)} in the ${ahead[0].item.form} form; the ${ahead[0].now.form} one is the next rung`,
						classId: c.class.id,
						data: { movement: ahead[0].item.movement }
					}
				];
			const missing = missingIn(c.plan, c.given, [], series);
			return missing.length
				? [
						{
							message: `class ${c.number} does not give the next rung: ${missing.map(name).join(', ')}`,
							classId: c.class.id,
							data: { movement: missing[0]! }
						}
					]
				: [];
		});
	}
};
