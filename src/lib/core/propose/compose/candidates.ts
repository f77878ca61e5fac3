import type { Group, Tier } from '../../group';
import { formFacts, FORM_IDS, formOf, SITS_OUT, type Form, type Mode, type Movement } from '../../movement';
import type { WorkBounds } from '../../fit';
import type { SectionKind } from '../../plan';
import { isPassiveStretch } from '../../rules';
import { suits, type Suits } from '../../substitution';
import { demandOf, Kinds, traitsOf, type Traits } from '../model';
import { nearest } from '../pool/nearest';
import type { BlockLoad, BlockOption } from '../pool/options';
import { isFiller } from '../pool/role-dose';
import { stationOf, type Station } from '../pool/stations';
import { mustOf, type ProposeContext, type Wishes } from '../pool/types';

/** Something that may be put into a class, or stands there already, with what the search asks of it. */
export interface Candidate {
	/** The option to write into the plan; null for a block that is already there. */
	option: BlockOption | null;
	traits: Traits;
	station: Station;
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
	/** Whether it may be the peak: hardly anybody would sit it out, and the wishes allow it. */
	mayPeak: boolean;
	/** An easier form than these people are here for: it wakes and lets go, and builds nothing up. */
	belowThem: boolean;
	/** Whether all of the weight is on one leg. */
	onOneLeg: boolean;
	/** How hard its work is, and what each second of it holds long. */
	load: Pick<BlockLoad, 'effort' | 'lengthens'>;
}

/** The largest part of a group that does another movement at the peak, or at an item longer than this. Common practice, no source. */
const SITS_OUT_AT_MOST = { share: 1 / 8, longSeconds: 120 };
/** From this share of its two legs on a movement gives a direction. */
export const GIVES_FROM = 0.25;
/** With fewer movements for the peak than this there is nothing to choose from. */
const FEWEST_PEAKS = 6;

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
	const isAsked = (slug: string) => wishes.must?.includes(slug) || wishes.toward === slug;
	const candidates = options.flatMap((option): Candidate[] => {
		const { item } = option;
		const movement = find(item.movement)!;
		const form = formOf(movement, item.form)!;
		const most = wishes.upTo?.[movement.slug];
		if (most && FORM_IDS.indexOf(form.id) > FORM_IDS.indexOf(most)) return [];
		// a group that shall meet nothing new meets nothing new
		if (wishes.mostNew === 0 && option.isNew && !wishes.must?.includes(movement.slug)) return [];
		if (group.moment === 'before sport' && isPassiveStretch(form, item.mode)) return [];
		if (!isAsked(movement.slug) && isTooFar(form, group)) return [];
		if (group.moment === 'lunch hour' && movement.position === 'prone' && !isAsked(movement.slug)) return [];
		const workSeconds = option.workSeconds[option.usual]!;
		const forMost = isAsked(movement.slug) || sitsOutShare(movement, form, group) <= SITS_OUT_AT_MOST.share;
		if (!forMost && workSeconds > SITS_OUT_AT_MOST.longSeconds) return [];
		return [
			{
				option,
				traits: traitsOf(movement, form, item.mode, kinds),
				station: stationOf(movement, form),
				sections: option.sections,
				amount: option.amounts[option.usual]!,
				workSeconds,
				seconds: workSeconds + option.load.aroundSeconds,
				sets: movement.sets?.usual ?? 1,
				besideShare: besideShare(movement, form, group),
				mayPeak: forMost && isWantedAsPeak(movement, form, item.mode, wishes),
				belowThem: isBelow(movement, form, item.mode, group),
				onOneLeg: formFacts.isOnOneLeg(formFacts.givenForm(movement, form, item.mode)),
				load: option.load
			}
		];
	});
	const peaks = new Set(
		candidates.filter((c) => c.mayPeak && c.sections.has('peak')).map((c) => c.traits.movement.slug)
	);
	return {
		candidates:
			peaks.size >= FEWEST_PEAKS
				? candidates
				: candidates.map((c) => ({
						...c,
						mayPeak: isWantedAsPeak(c.traits.movement, c.traits.form, c.traits.mode, wishes)
					})),
		kinds
	};
}

/** Whether the wishes let a movement be the peak. */
const isWantedAsPeak = (movement: Movement, form: Form, mode: Mode, wishes: Wishes): boolean =>
	mustOf(wishes).includes(movement.slug) ||
	(!wishes.notPeak?.includes(movement.slug) && demandOf(form, mode) < (wishes.peakBelow ?? Infinity));

/** From this share of tight people on a group meets no form beyond the full one. */
const WEAK_FROM_SHARE = 0.5;

/** Whether a form asks for more than a group can give of whom most are tight. */
const isTooFar = ({ id, intensity }: Form, group: Group): boolean =>
	isGentle(group) && intensity > 1 && FORM_IDS.indexOf(id) > FORM_IDS.indexOf('full');

/** Whether most of a group are tight. */
export const isGentle = (group: Group): boolean => tierShare(group, 'tight') >= WEAK_FROM_SHARE;

/** The part of a group that is of a tier; 0 where no tiers are counted. */
function tierShare({ tiers }: Group, tier: Tier): number {
	const people = tiers.tight + tiers.middling + tiers.open;
	return people > 0 ? tiers[tier] / people : 0;
}

/** From this share of open people on a group builds up with full forms. */
const STRONG_FROM_SHARE = 0.5;
/** Deeper full forms than this are for the peak, so that easier ones build up to them. */
const FULL_UP_TO_INTENSITY = 3;

/** Whether a form is supported though most of these people can do the full one. */
function isBelow({ forms, modes }: Movement, form: Form, mode: Mode, group: Group): boolean {
	if (form.id !== 'supported' || tierShare(group, 'open') < STRONG_FROM_SHARE) return false;
	return forms.some(
		(full) =>
			full.id === 'full' && full.intensity <= FULL_UP_TO_INTENSITY && (full.modes ?? modes).includes(mode)
	);
}

/** A dose may exceed its role by this factor, where its form gives no shorter one. */
const DOSE_SLACK = 1.3;
/** Movement without work is dull after these seconds, its change of sides included. Common practice, no source. */
const LONGEST_FILLER_SECONDS = 115;
/** Whether a candidate, with the dose of its role, is not far too long for it. */
export const isShortEnough = (
	{ workSeconds, seconds, traits }: Candidate,
	bounds: WorkBounds | null
): boolean =>
	!bounds ||
	(workSeconds <= DOSE_SLACK * bounds.mostSeconds && !(isFiller(traits) && seconds > LONGEST_FILLER_SECONDS));

/** Returns the candidate with the dose that is nearest to its usual one and lasts between the bounds, sets apart. */
export function dosedWithin(candidate: Candidate, bounds: WorkBounds | null): Candidate {
	if (!bounds) return candidate;
	const { workSeconds } = candidate;
	const wanted = Math.min(bounds.mostSeconds, Math.max(bounds.leastSeconds, workSeconds));
	return wanted === workSeconds ? candidate : withWork(candidate, wanted);
}

/** Returns the candidate with the dose whose work is nearest to the given seconds. */
export function withWork(candidate: Candidate, wantedSeconds: number): Candidate {
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
export const besideShare = (movement: Movement, form: Form, group: Group): number =>
	shareWith(movement, form, group, ({ kind }) => kind !== 'fine' && kind !== 'in this form');

/** The part of a group that does another movement: no form of this one suits them. */
const sitsOutShare = (movement: Movement, form: Form, group: Group): number =>
	shareWith(movement, form, group, ({ kind }) => kind === 'instead' || kind === 'clinician');

function shareWith(
	movement: Movement,
	{ id }: Form,
	{ cautions, size }: Group,
	counts: (verdict: Suits) => boolean
): number {
	let people = 0;
	for (const { caution, people: own } of cautions)
		if (!SITS_OUT.has(caution) && counts(suits(movement, id, caution))) people += own;
	return size > 0 ? Math.min(1, people / size) : 0;
}
