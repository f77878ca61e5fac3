/** Who does what at an item: cautions beside the class, kit counted for all of them, and who is here today. */
import { USUAL_PACE } from '../../src/lib/core/pace';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findMovement } from '../../src/lib/catalogue';
import { clock } from '../../src/lib/core/clock';
import { groupToday, usuallyHere, type Group } from '../../src/lib/core/group';
import type { Caution, KitKind, Movement } from '../../src/lib/core/movement';
import { TIERS, withCaution } from '../../src/lib/core/people';
import { applyEdit, copyOf, planFaults, type Item, type KitFor } from '../../src/lib/core/plan';
import { ladderTo } from '../../src/lib/core/series';
import { styleOf } from '../../src/lib/core/style';
import {
	cautionInWords,
	itemKit,
	kitInWords,
	refusal,
	roomSheet,
	shortageInWords,
	waysAt,
	type ItemVariant
} from '../../src/lib/core/substitution';
import { PlanWriter } from '../../src/lib/demo/build';
import { DEMO_GROUPS } from '../../src/lib/demo/groups';
import { found, groupOf, read, written } from './checks/case';

const movement = (slug: string) => findMovement(slug) as Movement;
const at = (slug: string, form: Item['form'] = 'full', more: Partial<Item> = {}) => ({
	movement: movement(slug),
	item: { ...new PlanWriter().item(slug, { form }), ...more }
});
const with_ = (caution: Caution, people: number, change: Partial<Group> = {}): Group => ({
	...groupOf(change),
	cautions: [{ caution, people }]
});
const inWords = (ways: ItemVariant[]) =>
	ways.map(({ who, people, movement: { slug }, form }) => [
		'tier' in who ? who.tier : who.caution,
		people,
		slug,
		form.id
	]);
const kitOf = (shared: ReturnType<typeof at>, group: Group) =>
	itemKit(shared, group, findMovement).map(({ kit, needed, missing }) => [kit, needed, missing]);

describe('who does what', () => {
	it('people with a caution do another form or movement beside the class, and nobody is counted twice', () => {
		const knees = with_('sore knee', 3, { tiers: { tight: 4, middling: 5, open: 1 } });
		expect(inWords(waysAt(at('low-lunge'), knees, findMovement))).toEqual([
			['tight', 4, 'low-lunge', 'supported'],
			['middling', 2, 'low-lunge', 'full'],
			['open', 1, 'low-lunge', 'stronger'],
			['sore knee', 3, 'low-lunge', 'supported']
		]);
		expect(inWords(waysAt(at('fire-log'), knees, findMovement)).at(-1)).toEqual([
			'sore knee',
			3,
			'supine-figure-four',
			'supported'
		]);
	});

	it('whom the teacher keeps in it does what the others do', () => {
		const kept = at('fire-log', 'full', { confirmed: [{ caution: 'sore knee', on: '2026-11-28' }] });
		expect(inWords(waysAt(kept, with_('sore knee', 3), findMovement))).toEqual([
			['middling', 10, 'fire-log', 'full']
		]);
	});

	it('a tier without the kit for its own form does what all are given', () => {
		const bare = groupOf({ kit: {}, tiers: { tight: 10, middling: 0, open: 0 } });
		expect(inWords(waysAt(at('low-lunge'), bare, findMovement))).toEqual([
			['tight', 10, 'low-lunge', 'full']
		]);
		expect(kitOf(at('low-lunge'), bare)).toEqual([]);
	});
});

describe('kit', () => {
	it('of the forms that cautions ask for is counted: six sore knees in a room without any', () => {
		const six = with_('sore knee', 6, { kit: {} });
		expect(kitOf(at('low-lunge'), six)).toEqual([
			['block', 12, 12],
			['blanket', 6, 6]
		]);
		const plan = written((w) => w.add('peak', w.item('low-lunge')));
		expect(found(plan, 'kit-shortage', { group: six }).map(({ severity }) => severity)).toEqual([
			'fix',
			'fix'
		]);
		expect(found(plan, 'kit-shortage', { group: { ...six, kit: { block: 12, blanket: 6 } } })).toEqual([]);
	});

	it.each<[KitFor, number, string]>([
		['whoever wants it', 0, 'blanket for whoever wants it'],
		['one person', 1, 'blanket for one person'],
		['the left side', 10, 'blanket for the left side'],
		['the tighter side', 10, 'blanket for the tighter side']
	])('for %s takes %d of ten', (whom, needed, words) => {
		const shared = at('low-lunge', 'supported', { kit: [{ kit: 'blanket', for: whom }] });
		const counts = kitOf(shared, groupOf());
		expect(counts.find(([kit]) => kit === 'blanket')?.[1] ?? 0).toBe(needed);
		const form = shared.movement.forms.find(({ id }) => id === 'supported')!;
		expect(kitInWords(form, shared.item.kit)).toContain(words);
	});

	it('may be brought in besides, and is no kit of the form for anybody else', () => {
		const shared = at('clam', 'full', { kit: [{ kit: 'cushion', for: 'one person' }] });
		expect(kitOf(shared, groupOf())).toEqual([['cushion', 1, 0]]);
		expect(
			kitInWords(
				shared.movement.forms.find(({ id }) => id === 'full')!,
				shared.item.kit
			)
		).toBe('cushion for one person');
	});

	it('of one person keeps nobody waiting, and that of one side is placed on that side', () => {
		const fetches = (whom?: KitFor) => {
			const w = new PlanWriter();
			const item = w.item('low-lunge', { form: 'supported' });
			const plan = w
				.add('build', { ...item, ...(whom ? { kit: [{ kit: 'blanket' as KitKind, for: whom }] } : {}) })
				.plan('Kit', '18:30', 600);
			expect(planFaults(plan, findMovement)).toEqual([]);
			const { entries } = clock(plan, findMovement, USUAL_PACE);
			return entries
				.filter(({ phase }) => phase === 'fetch' || phase === 'change')
				.map((e) => [e.phase, e.side, e.toSeconds - e.fromSeconds]);
		};
		const all = fetches();
		const [fetch] = all;
		expect(all.map(([phase]) => phase)).toEqual(['fetch', 'change']);
		expect(all[1]![2]).toBe(23);
		const one = fetches('one person');
		expect(one.every(([phase, , seconds]) => phase === 'change' || Number(seconds) < Number(fetch![2]))).toBe(
			true
		);
		expect(fetches('the right side')[0]![2]).toBeLessThan(Number(fetch![2]));
	});

	it('every movement does without it, in some form or way, or names what takes its place', () => {
		for (const m of CATALOGUE) {
			const bare = m.forms.some(({ props }) => props.length === 0);
			expect(bare || m.withoutKit !== undefined, m.slug).toBe(true);
			if (!m.withoutKit || 'how' in m.withoutKit) continue;
			const other = movement(m.withoutKit.instead);
			expect(
				other.forms.some(({ props }) => props.length === 0),
				`${m.slug} -> ${other.slug}`
			).toBe(true);
		}
	});

	it('a room without any still has frog, the one-leg squat and lunges', () => {
		const bare = groupOf({ kit: {} });
		const severities = (slug: string) =>
			found(
				written((w) => w.add('peak', w.item(slug))),
				'kit-shortage',
				{ group: bare }
			).map((f) => f.severity);
		expect(severities('frog')).toEqual(['note']);
		expect(severities('low-lunge')).toEqual([]);
		expect(severities('single-leg-squat')).toEqual(['fix']);
		const { findings, context } = read(
			written((w) => w.add('peak', w.item('single-leg-squat'))),
			{ group: bare }
		);
		expect(findings.find((f) => f.checkId === 'kit-shortage')?.repairable).toBe(true);
		expect(context.find('single-leg-squat')!.withoutKit).toEqual({ instead: 'split-squat' });
		expect(shortageInWords(itemKit(at('frog'), bare, findMovement)[0]!)).toContain('needs 20 blankets');
	});
});

describe('a caution of one person', () => {
	const pinch = { caution: 'front-of-hip pinch' as const, people: 1 };

	it('is one person’s: the class goes on, unless most of the room has it or nothing suits instead', () => {
		const knee = (people: number) => ({ caution: 'sore knee' as const, people });
		const refused = (people: number) => refusal(movement('fire-log'), 'full', knee(people), 10, findMovement);
		expect([1, 5, 6, 10].map(refused)).toEqual([null, null, 'most of the room', 'most of the room']);
		expect(
			refusal(movement('fire-log'), 'full', { caution: 'after hip replacement', people: 1 }, 10, findMovement)
		).toBe('no substitute');
		expect(refusal(movement('clam'), 'full', knee(10), 10, findMovement)).toBeNull();
		const alone: Movement = {
			...movement('fire-log'),
			cautions: [{ caution: 'sore knee', advice: 'Not.', instead: 'nowhere', okIn: [] }]
		};
		// the table of conditions names another one; without a catalogue there is none
		expect(refusal(alone, 'full', knee(1), 10, findMovement)).toBeNull();
		expect(refusal(alone, 'full', knee(1), 10, () => undefined)).toBe('no substitute');
	});

	it('takes neither the high step from the class nor refuses it as a goal of a series', () => {
		const climbers: Group = { ...DEMO_GROUPS.chalk, cautions: [pinch] };
		const plan = written((w) => w.add('peak', w.item('high-step-lift')));
		expect(found(plan, 'caution-conflict', { group: climbers }).map((f) => f.severity)).toEqual(['note']);
		const ladder = ladderTo({ movement: 'high-step-lift', form: 'full' }, findMovement, climbers, styleOf());
		expect(ladder?.rungs.at(-1)).toMatchObject({ movement: 'high-step-lift', form: 'full' });
	});

	it('refuses few goals of the demo’s groups', () => {
		const goals = CATALOGUE.flatMap((m) =>
			m.forms.filter(({ id }) => id === 'full').map(({ id }) => ({ movement: m.slug, form: id }))
		);
		const refused = (group: Group) =>
			goals.filter((goal) => !ladderTo(goal, findMovement, { ...group, preset: 'general' }, styleOf()))
				.length;
		for (const group of [DEMO_GROUPS.tide, DEMO_GROUPS.striders, DEMO_GROUPS.chalk])
			expect(refused(group), group.name).toBeLessThanOrEqual(5);
	});

	it('is named at the item, on the room sheet and on the card, with how it is done', () => {
		const group: Group = { ...DEMO_GROUPS.chalk, cautions: [{ caution: 'sore knee', people: 2 }] };
		const { context } = read(
			written((w) => w.add('peak', w.item('fire-log'), w.item('low-lunge'))),
			{ group }
		);
		const { rows } = roomSheet(context.items, group, findMovement, styleOf());
		expect(rows.map(({ cautions }) => cautions.map(cautionInWords))).toEqual([
			[expect.stringMatching(/^sore knee \(2\): Lying figure four, /)],
			[expect.stringMatching(/^sore knee \(2\): supported form, /)]
		]);
	});
});

describe('who is here today', () => {
	const plan = written((w) => w.add('peak', w.item('fire-log')));

	it('is who usually comes until somebody counts, and then checks, kit and sheet go by the count', () => {
		const group = DEMO_GROUPS.striders;
		const usual = usuallyHere(group);
		expect(groupToday(group, undefined)).toBe(group);
		expect(groupToday(group, usual)).toMatchObject({ size: 12, cautions: group.cautions });
		const today = withCaution({ ...usual, tiers: { tight: 2, middling: 2, open: 0 } }, 'sore knee', 3);
		const counted = applyEdit(plan, { do: 'setHere', here: today });
		expect(planFaults(counted, findMovement)).toEqual([]);
		expect(found(plan, 'caution-conflict', { group }).map((f) => f.severity)).toEqual(['note']);
		// three of four have a sore knee
		expect(found(counted, 'caution-conflict', { group }).map((f) => f.severity)).toEqual(['stop']);
		expect(read(counted, { group }).context.group).toMatchObject({ size: 4 });
		expect(applyEdit(counted, { do: 'setHere', here: undefined })).toEqual(plan);
	});

	it('is counted anew in a copy of the class', () => {
		const counted = applyEdit(plan, { do: 'setHere', here: usuallyHere(DEMO_GROUPS.tide) });
		expect(copyOf(counted).here).toBeUndefined();
	});

	it('a caution counts once, and goes at nobody', () => {
		const usual = usuallyHere(DEMO_GROUPS.chalk);
		const two = withCaution(usual, 'poor balance', 2);
		expect(two.cautions).toEqual([
			{ caution: 'front-of-hip pinch', people: 1 },
			{ caution: 'poor balance', people: 2 }
		]);
		expect(withCaution(two, 'front-of-hip pinch', 0).cautions).toEqual([
			{ caution: 'poor balance', people: 2 }
		]);
	});

	it.each([
		['less than nobody', { tiers: { tight: -1, middling: 3, open: 0 }, cautions: [] }, 'here.tiers.tight'],
		['a tier left out', { tiers: { tight: 1, middling: 3 }, cautions: [] }, 'here.tiers.open'],
		[
			'a caution of nobody',
			{ tiers: { tight: 1, middling: 3, open: 0 }, cautions: [{ caution: 'low back', people: 0 }] },
			'here.cautions[0].people'
		]
	])('%s is refused', (_what, here, path) => {
		expect(planFaults({ ...plan, here }, findMovement)[0]?.path).toBe(path);
		expect(TIERS).toHaveLength(3);
	});
});
