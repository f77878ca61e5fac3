import {
	givenInstead,
	kitAtHand,
	kitSuffices,
	refusal,
	substitutes,
	suits,
	formForRoom,
	formSuiting
} from '../../substitution';
import { cautionLinesAtTest, HIP_TESTS } from '../../hip-tests';
import { blocksOf, newItem, type Item, type TestBlock } from '../../plan';
import type { Group } from '../../group';
import { memoize, SITS_OUT, type Caution, type FindMovement, type Movement } from '../../movement';
import type { Check, Report } from '../types';

/** A report on an item without its place in the plan. */
type ItemReport = Omit<Report, 'where'>;
/** Kept, since an edit leaves most items of a class the same. */
const saidOf = memoize((find: FindMovement, group: Group, movement: Movement, item: Item): ItemReport[] =>
	group.cautions.flatMap(({ caution, people }): ItemReport[] => {
		const verdict = suits(movement, item.form, caution);
		if (verdict.kind === 'fine' || verdict.kind === 'in this form') return [];
		const data = { movement: movement.slug, caution, people, kind: verdict.kind };
		const who = `${movement.english}, ${caution} (${people})`;
		if (item.confirmed?.some((c) => c.caution === caution))
			return [
				{
					message: `${who}: kept by your own confirmation`,
					severity: 'note',
					cause: `${caution} kept`,
					data,
					repairable: false
				}
			];
		if (SITS_OUT.has(caution))
			return [
				{
					message: `${caution} (${people}): nothing is proposed to them. ${verdict.advice}`,
					severity: 'note',
					cause: `${caution} sits out`,
					data,
					repairable: false
				}
			];
		if (verdict.kind === 'clinician')
			return [
				{
					message: `${who}: the treating clinician decides. ${verdict.advice}`,
					cause: `${caution} clinician`,
					data,
					repairable: false
				}
			];
		const refused = refusal(movement, item.form, { caution, people }, group.size, find);
		const other =
			verdict.kind === 'other form'
				? `the ${verdict.form} form`
				: (givenInstead(movement, item.form, caution, find, kitSuffices(kitAtHand(group), people))?.movement
						.english ?? verdict.instead);
		const words =
			refused === 'no substitute'
				? 'there is no alternative for them'
				: refused
					? `most of the room cannot do it; give all ${other}`
					: `they do ${other} instead`;
		return [
			{
				message: `${who}: ${words}. ${verdict.advice}`,
				// one person who cannot do it gets something else: the class goes on
				severity: refused ? 'stop' : 'note',
				data,
				repairable: refused !== null,
				// refusals are decided item by item; doing something else beside the class is one note
				...(refused ? {} : { cause: `${caution} beside the class` })
			}
		];
	})
);

/** One note for each caution in the room that a test is not for. */
const testReports = ({ id, test }: TestBlock, group: Group): Report[] =>
	cautionLinesAtTest(test, group.cautions).map(({ caution, people, kind, words }) => ({
		message: `Test “${HIP_TESTS[test].name}”, ${words}`,
		severity: 'note',
		where: { blockId: id },
		data: { test, caution, people, kind },
		repairable: false,
		cause: `${caution} at a test ${test}`
	}));

export const cautionConflict: Check = {
	meta: {
		id: 'caution-conflict',
		summary: 'Nobody is given a shape that their caution rules out',
		severity: 'stop',
		why: 'People with this caution get another form or movement. Where most of the room cannot do it, or there is no alternative, the class should not have it. To keep it you have to confirm, and the plan records that.',
		source: 'common practice; licensed practice decides',
		canRepair: true,
		neverSilent: true
	},
	check({ items, group, find, plan }) {
		if (!group || group.cautions.length === 0) return [];
		const tests = blocksOf(plan).flatMap(({ block }) =>
			block.kind === 'test' ? testReports(block, group) : []
		);
		const given = items.flatMap((taught) => {
			const { item, movement, blockId, startSeconds } = taught;
			const where = { itemId: item.id, blockId, atSeconds: startSeconds };
			return saidOf(find, group, movement, item).map((report) => ({ ...report, where }));
		});
		return [...given, ...tests];
	},
	repair(finding, { items, catalogue, group, plan, find }) {
		const taught = items.find(({ item }) => item.id === finding.where.itemId);
		if (!taught || !group) return null;
		const { item, movement } = taught;
		const verdict = suits(movement, item.form, finding.data.caution as Caution);
		if (verdict.kind !== 'instead') return null;
		const best = substitutes(movement, catalogue, group)[0]?.movement ?? find(verdict.instead);
		if (!best) return null;
		const form = formForRoom(best, group) ?? formSuiting(best, finding.data.caution as Caution);
		const by = { ...newItem(plan, best, item.lead, form?.id), id: item.id };
		return { label: `Give ${best.english} instead`, edits: [{ do: 'replace', itemId: item.id, by }] };
	}
};
