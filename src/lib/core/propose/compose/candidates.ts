import type { Group } from '../../group';
import { FORM_IDS, formOf, SITS_OUT, type Form, type Movement } from '../../movement';
import type { SectionKind } from '../../plan';
import { isPassiveStretch } from '../../rules';
import { suits } from '../../substitution';
import { Kinds, traitsOf, type Traits } from '../model';
import { nearest } from '../pool/nearest';
import type { BlockLoad, BlockOption } from '../pool/options';
import type { ProposeContext, Wishes } from '../pool/types';

/** Something that may be put into a class, or stands there already, with what the search asks of it. */
export interface Candidate {
	/** The option to write into the plan; null for a block that is already there. */
	option: BlockOption | null;
	traits: Traits;
	/** Parts of the class where it may stand. */
	sections: ReadonlySet<SectionKind>;
	/** The dose that it is given with; of the usual size. */
	amount: number;
	/** Seconds of its work at this dose, and of the whole item without getting there. */
	workSeconds: number;
	seconds: number;
	/** Usual number of sets. */
	sets: number;
	/** The part of the group that does something else beside the class, for a caution. */
	besideShare: number;
	/** How hard its work is, and what each second of it holds long. */
	load: Pick<BlockLoad, 'effort' | 'lengthens'>;
}

/** Everything that may be put into a class for these people, with where it belongs. */
export function candidatesOf(
	options: readonly BlockOption[],
	wishes: Wishes,
	context: ProposeContext,
	/** Slugs of what is in the class already. */
	there: readonly string[]
): { candidates: Candidate[]; kinds: Kinds } {
	const { group, find } = context;
	const kinds = new Kinds([...there, ...options.map(({ item }) => item.movement)].map((slug) => find(slug)!));
	const candidates = options.flatMap((option): Candidate[] => {
		const { item } = option;
		const movement = find(item.movement)!;
		const form = formOf(movement, item.form)!;
		const most = wishes.upTo?.[movement.slug];
		if (most && FORM_IDS.indexOf(form.id) > FORM_IDS.indexOf(most)) return [];
		// a group that shall meet nothing new meets nothing new
		if (wishes.mostNew === 0 && option.isNew && !wishes.must?.includes(movement.slug)) return [];
		if (group.moment === 'before sport' && isPassiveStretch(form, item.mode)) return [];
		const workSeconds = option.workSeconds[option.usual]!;
		return [
			{
				option,
				traits: traitsOf(movement, form, item.mode, kinds),
				sections: option.sections,
				amount: option.amounts[option.usual]!,
				workSeconds,
				seconds: workSeconds + option.load.aroundSeconds,
				sets: movement.sets?.usual ?? 1,
				besideShare: besideShare(movement, form, group),
				load: option.load
			}
		];
	});
	return { candidates, kinds };
}

/** Returns the candidate that closes a class, with the dose nearest to the given seconds. */
export function closing(candidate: Candidate, wantedSeconds: number): Candidate {
	const { option, workSeconds, seconds } = candidate;
	if (!option) return candidate;
	const at = nearest(option.workSeconds, wantedSeconds);
	const work = option.workSeconds[at]!;
	return {
		...candidate,
		amount: option.amounts[at]!,
		workSeconds: work,
		seconds: seconds - workSeconds + work
	};
}

/** The part of a group that a caution keeps from a form: they do something else beside the class. */
export function besideShare(movement: Movement, { id }: Form, { cautions, size }: Group): number {
	let people = 0;
	for (const own of cautions) {
		if (SITS_OUT.has(own.caution)) continue;
		const { kind } = suits(movement, id, own.caution);
		if (kind !== 'fine' && kind !== 'in this form') people += own.people;
	}
	return size > 0 ? Math.min(1, people / size) : 0;
}
