/** A class as each kind of people lives it: their own movements at the times of the room, held to the same checks. */
import { describe, expect, it } from 'vitest';
import { livedClasses, livedInWords } from '../../src/lib/core/analysis';
import { CAUTIONS, conditionOf, provokedBy, SITS_OUT, type FormId } from '../../src/lib/core/movement';
import { itemsOf, type Item } from '../../src/lib/core/plan';
import { doneBy, isNoHarder, livedItems, othersIn } from '../../src/lib/core/substitution';
import { livedViews } from '../../src/lib/core/view-models';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { groupOf, read, written, type Write } from './checks/case';

const seated: Write = (w) =>
	w
		.add('warm', w.item('cat-cow', { dose: 8 }))
		.add('build', w.item('90-90-sit'), w.item('90-90-press'), w.item('fire-log'), w.item('90-90-fold'))
		.add('peak', w.item('garland-squat', { form: 'stronger' }))
		.add('rest', w.item('savasana'));

const livedWith = (write: Write, ...cautions: Parameters<typeof groupOf>[1] & object) => {
	const group = groupOf({ tiers: { tight: 0, middling: 10, open: 0 } }, cautions);
	return livedClasses(read(written(write, { group }), { group }));
};

describe('a class as each person lives it', () => {
	it('takes what they do in place of an item, as long as the room takes for it', () => {
		const [lived] = livedWith(seated, 'sore knee');
		expect(lived!.who).toEqual({ caution: 'sore knee' });
		expect(lived!.differing).toBeGreaterThan(3);
		const { analysis, plan } = lived!;
		expect(itemsOf(plan).map(({ id }) => id)).toEqual(analysis.context.items.map(({ item }) => item.id));
		for (const row of lived!.rows.filter(({ own }) => own)) {
			const own = analysis.context.items.find(({ item }) => item.id === row.itemId)!;
			expect(own.movement.english).toBe(row.own!.english);
			expect(own.workSeconds).toBeGreaterThan(0);
		}
	});

	it('says where they get one thing again and again, and where their strength is missing', () => {
		const quiet: Write = (w) =>
			w.add('build', ...['90-90-sit', '90-90-fold', '90-90-twist', 'butterfly'].map((slug) => w.item(slug)));
		const onlyKnees = livedWith(
			(w) => w.add('build', ...Array.from({ length: 4 }, () => w.item('90-90-twist'))),
			'sore knee'
		)[0]!;
		expect(onlyKnees.findings.map(({ message }) => message)).toEqual(
			expect.arrayContaining([expect.stringMatching(/ 4 times, \d:\d\d in all: give them something else/)])
		);
		expect(livedWith(quiet, 'sore knee')[0]!.findings.map(({ message }) => message)).not.toEqual(
			expect.arrayContaining([expect.stringMatching(/ 4 times/)])
		);
		const strong: Write = (w) =>
			w.add(
				'peak',
				w.item('goddess-squat', { form: 'stronger', dose: 60 }),
				w.item('single-leg-bridge', { dose: 10 })
			);
		const [weak] = livedWith(strong, 'after hip replacement');
		expect(weak!.findings.map(({ message }) => message)).toEqual(
			expect.arrayContaining([expect.stringMatching(/of strength where the room has/)])
		);
	});

	it('gives strength where the room strengthens', () => {
		const [lived] = livedWith(
			(w) =>
				w.add('build', ...['90-90-sit', '90-90-press', '90-90-back-foot-lift'].map((slug) => w.item(slug))),
			'sore knee'
		);
		expect(lived!.strengthSeconds.own).toBeGreaterThan(0.6 * lived!.strengthSeconds.room);
	});

	it('tells of their peak, and in a line what is theirs', () => {
		const [lived] = livedWith(seated, 'front-of-hip pinch');
		expect(lived!.peak).toMatchObject({ isOwn: true });
		expect(livedInWords(lived!)).toMatch(/^front-of-hip pinch \(2\): \d of 7 items differ.*their peak is/);
	});

	it('has nothing to say where everybody does the same, nor of those who sit out', () => {
		expect(livedWith((w) => w.add('rest', w.item('savasana')), 'sore wrist')).toEqual([]);
		expect(livedWith(seated, 'recent operation')).toEqual([]);
	});

	it('lets whom the clinician has to decide for wait', () => {
		const rows = livedWith(seated, 'after hip replacement')[0]!.rows;
		expect(rows.filter(({ waits }) => waits).length).toBeGreaterThan(2);
		expect(
			livedViews(read(written(seated), { group: groupOf({}, ['after hip replacement']) }))[0]!.rows[1]!.own
		).toMatch(/^waits for the clinician/);
	});

	it('is the class itself where the teacher kept the item for them', () => {
		const kept: Write = (w) => w.add('peak', w.item('fire-log', { keep: ['sore knee'] }));
		expect(livedWith(kept, 'sore knee')).toEqual([]);
	});
});

describe('what a person does at an item', () => {
	it('is never harder than the room does, for any caution, movement and form', () => {
		const group = groupOf();
		for (const caution of CAUTIONS)
			for (const movement of CATALOGUE)
				for (const form of movement.forms) {
					const item = itemOf(movement.slug, form.id);
					const own = doneBy({ movement, item }, { caution }, group, findMovement);
					expect(isNoHarder(own.form, form), `${caution}: ${movement.slug} ${form.id}`).toBe(true);
				}
	});

	it('is nothing that provokes their condition, in a room without any kit too', () => {
		for (const caution of CAUTIONS.filter((one) => !SITS_OUT.has(one))) {
			const group = groupOf({ kit: {} }, [caution]);
			for (const movement of CATALOGUE)
				for (const form of movement.forms) {
					const own = doneBy(
						{ movement, item: itemOf(movement.slug, form.id) },
						{ caution },
						group,
						findMovement
					);
					expect(
						provokedBy(own.movement, own.form, conditionOf(caution)),
						`${caution}: ${movement.slug} ${form.id} -> ${own.movement.slug}`
					).toEqual([]);
				}
		}
	});

	it('lasts as long as the item of the room, for tiers too', () => {
		const group = groupOf({ tiers: { tight: 4, middling: 4, open: 2 } });
		const { context } = read(written(seated, { group }), { group });
		for (const { who } of othersIn(group)) {
			const lived = livedItems(context.items, who, group, findMovement);
			expect(lived.map(({ startSeconds, workSeconds }) => [startSeconds, workSeconds])).toEqual(
				context.items.map(({ startSeconds, workSeconds }) => [startSeconds, workSeconds])
			);
		}
	});
});

/** An item as the room does it. */
const itemOf = (slug: string, form: FormId): Item => ({ ...ANY_ITEM, movement: slug, form });
const [ANY_ITEM] = itemsOf(written((w) => w.add('build', w.item('clam')))) as [Item];
