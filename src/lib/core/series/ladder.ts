import { formForTier, mostIntensity, refusal } from '../substitution';
import { peopleByTier, TIERS, type Group, type Tier } from '../group';
import { limitingRegion } from '../measure';
import { sizeOf } from '../people';
import { countsAsStrength } from '../rules';
import {
	FORM_IDS,
	formOf,
	modesOf,
	stepOf,
	type FindMovement,
	type Form,
	type FormId,
	type Movement,
	type Purpose
} from '../movement';
import { demandOf, shapesFor } from '../propose';
import { styledRange, type TeachingStyle } from '../style';
import type { Ladder, Rung } from './types';

/** Whether a room may be given a form: no caution refuses it for all, and some tier is not overtaxed. */
function suitsRoom(movement: Movement, form: Form, group: Group | null, find: FindMovement): boolean {
	if (!group) return true;
	const fine = group.cautions.every((counted) => !refusal(movement, form.id, counted, group.size, find));
	const people = peopleByTier(group);
	return fine && TIERS.some((tier) => people[tier] > 0 && form.intensity <= mostIntensity(tier, group));
}

/**
 * The way to a movement in a form: one preparation, then the forms up to it, in each first the usual dose and then more
 * of it. Repetitions first, then effort, then load (common practice, no source). Rungs that a caution in the room speaks
 * against are left out, and so are supported ones where most of the room is beyond them; null when the goal itself is one of them or does not exist.
 */
export function ladderTo(
	goal: { movement: string; form: FormId },
	find: FindMovement,
	group: Group | null,
	style: TeachingStyle
): Ladder | null {
	const movement = find(goal.movement);
	const last = movement && formOf(movement, goal.form);
	if (!movement || !last || !suitsRoom(movement, last, group, find)) return null;
	const rungs: Rung[] = [];
	const preparation = movement.preparations
		.map((slug) => find(slug))
		.filter((m): m is Movement => m !== undefined)
		.map((m) => ({ m, form: m.forms.find((form) => suitsRoom(m, form, group, find)) }))
		.find(({ form }) => form && form.intensity <= last.intensity);
	if (preparation?.form) rungs.push(rungOf(preparation.m, preparation.form, style, 'usual'));
	for (const form of upTo(movement, goal.form)) {
		if (form.id !== goal.form && isBehind(movement, form, group)) continue;
		if (!suitsRoom(movement, form, group, find)) continue;
		rungs.push(rungOf(movement, form, style, 'usual'));
		const more = rungOf(movement, form, style, 'more');
		if (form.id !== goal.form && more.dose > rungs.at(-1)!.dose) rungs.push(more);
	}
	return { rungs };
}

/**
 * The goal that a purpose stands for with these people: of what its themes come to and what serves it, the most demanding
 * strength that most of them may be given, in the full form, else in the supported one; where there is none, the most
 * demanding of anything. Null where nothing can be a goal.
 */
export function goalForPurpose(
	purpose: Purpose,
	find: FindMovement,
	group: Group | null,
	style: TeachingStyle
): { movement: string; form: FormId } | null {
	const { peak, build } = shapesFor(purpose);
	const isOwn = (slug: string) => find(slug)?.purposes[0] === purpose;
	const serves = (slug: string) => find(slug)?.purposes.includes(purpose) ?? false;
	const lists = [peak.filter(isOwn), peak.filter(serves), build.filter(isOwn), build.filter(serves)];
	for (const isGoal of [isStrongGoal, () => true])
		for (const slugs of lists)
			for (const form of ['full', 'supported'] as const) {
				const goals = slugs.flatMap((slug) => {
					const movement = find(slug)!;
					const own = formOf(movement, form);
					if (!own || !isGoal(movement, own, group)) return [];
					if (!ladderTo({ movement: slug, form }, find, group, style)) return [];
					return [{ movement: slug, demand: demandOf(own, modesOf(movement, own)[0]!) }];
				});
				goals.sort((a, b) => b.demand - a.demand);
				if (goals[0]) return { movement: goals[0].movement, form };
			}
	return null;
}

/** Whether a form asks for strength, for no more than most of a group may be given, and where these people can be. */
function isStrongGoal(movement: Movement, form: Form, group: Group | null): boolean {
	const mode = modesOf(movement, form)[0]!;
	if (!countsAsStrength(form.effort, mode) || movement.onHands === 'most') return false;
	if (!group) return true;
	if (group.moment === 'lunch hour' && movement.position !== 'standing') return false;
	return form.intensity <= mostIntensity(usualTier(group), group);
}

/** The tier of the person in the middle of a group. */
function usualTier(group: Group): Tier {
	const people = peopleByTier(group);
	let left = sizeOf({ tiers: people }) / 2;
	return TIERS.find((tier) => (left -= people[tier]) <= 0) ?? 'middling';
}

/** Ladders of a new series for which nothing else is named: to what the first purposes of a group stand for. */
export function laddersFor(
	group: Group,
	find: FindMovement,
	style: TeachingStyle,
	most = USUAL_LADDERS
): Ladder[] {
	const ladders: Ladder[] = [];
	for (const purpose of group.purposes) {
		const goal = goalForPurpose(purpose, find, group, style);
		const ladder = goal && ladderTo(goal, find, group, style);
		const isNew = !ladders.some(({ rungs }) => rungs.at(-1)!.movement === goal?.movement);
		if (ladder && isNew && ladders.push(ladder) === most) break;
	}
	return ladders;
}

/** How many ladders a series begins with. Common practice, no source. */
const USUAL_LADDERS = 2;

/** A room of people who are mostly open where a movement works stands beyond supported forms: its ladders begin at the full one. */
function isBehind(movement: Movement, form: Form, group: Group | null): boolean {
	if (!group || form.id !== 'supported') return false;
	const people = peopleByTier(group, limitingRegion(movement));
	return 2 * people.open > sizeOf({ tiers: people });
}

const upTo = ({ forms }: Movement, last: FormId): Form[] =>
	forms.filter((form) => FORM_IDS.indexOf(form.id) <= FORM_IDS.indexOf(last));

function rungOf(movement: Movement, form: Form, style: TeachingStyle, amount: 'usual' | 'more'): Rung {
	const mode = modesOf(movement, form)[0]!;
	const { usual, max, unit } = styledRange(style, form, mode);
	const step = stepOf(unit);
	// half of the way to the most that the form is given
	const more = Math.min(max, usual + step * Math.max(1, Math.round((max - usual) / 2 / step)));
	return { movement: movement.slug, form: form.id, mode, dose: amount === 'usual' ? usual : more };
}

/** Returns the form of each tier on a rung: a tier for which a form is not yet safe gets an easier one. */
export function tierForms(rung: Rung, group: Group, find: FindMovement): { tier: Tier; form: FormId }[] {
	const movement = find(rung.movement);
	if (!movement) return [];
	const people = peopleByTier(group, limitingRegion(movement));
	return TIERS.filter((tier) => people[tier] > 0).map((tier) => {
		const most = mostIntensity(tier, group);
		const usual = formForTier(movement, rung.form, tier);
		const allowed = movement.forms.filter(
			(form) => form.intensity <= most && FORM_IDS.indexOf(form.id) <= FORM_IDS.indexOf(usual.id)
		);
		return { tier, form: (allowed.at(-1) ?? movement.forms[0]!).id };
	});
}

/** "Pigeon fold, supported, 6 breaths". */
export function rungWords(rung: Rung, find: FindMovement): string {
	const movement = find(rung.movement);
	const form = movement && formOf(movement, rung.form);
	const unit = form ? (form.doseIn?.[rung.mode] ?? form.dose).unit : '';
	return `${movement?.english ?? rung.movement}, ${rung.form}, ${rung.dose} ${unit}`;
}

/** Whether an item or rung is of the same movement in the same form; dose and mode do not count. */
export const sameRung = (a: Rung, b: { movement: string; form: FormId }): boolean =>
	a.movement === b.movement && a.form === b.form;
