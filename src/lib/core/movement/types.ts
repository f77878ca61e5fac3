import type { ActionProfile } from '../anatomy';
import type { Caution } from './cautions';

/** The eight body positions, from the floor up: the lines of the score. */
export const POSITIONS = [
	'wall-supine',
	'supine',
	'prone',
	'sidelying',
	'seated',
	'quadruped',
	'kneeling',
	'standing'
] as const;
export type Position = (typeof POSITIONS)[number];

export const POSITION_NAME: Record<Position, string> = {
	'wall-supine': 'On the back, legs at the wall',
	supine: 'On the back',
	prone: 'On the front',
	sidelying: 'On the side',
	seated: 'Seated',
	quadruped: 'All fours',
	kneeling: 'Kneeling',
	standing: 'Standing'
};

/** Where there is little room: the lines of the score. */
export const POSITION_SHORT: Record<Position, string> = {
	...POSITION_NAME,
	'wall-supine': 'Legs at the wall'
};

/** How the muscles are used. Passive calms; the others carry over to sport and daily life. */
export const MODES = ['passive', 'active', 'isometric', 'dynamic', 'press-and-ease', 'rest'] as const;
export type Mode = (typeof MODES)[number];

/** Only in these modes do the named muscles work; a passive low lunge strengthens nothing. */
export const WORKING_MODES: ReadonlySet<Mode> = new Set(['active', 'isometric', 'dynamic', 'press-and-ease']);

export const FORM_IDS = ['supported', 'full', 'stronger', 'loaded'] as const;
export type FormId = (typeof FORM_IDS)[number];

export const DOSE_UNITS = ['breaths', 'seconds', 'repetitions', 'rounds', 'counts'] as const;
export type DoseUnit = (typeof DOSE_UNITS)[number];

/** How long one repetition takes is a matter of its size; the pace says how many seconds. */
export const TEMPOS = ['small', 'sweep', 'large', 'balance', 'slow-switch'] as const;
export type Tempo = (typeof TEMPOS)[number];

/** How much of a form is usual, per side when it has sides: from least to most, in its own unit. */
export interface DoseRange {
	unit: DoseUnit;
	min: number;
	usual: number;
	max: number;
	/** For repetitions. */
	tempo?: Tempo;
	/** For rounds: breaths joined to the movement of one round. */
	breathsPerRound?: number;
}

export const KIT_KINDS = [
	'block',
	'blanket',
	'strap',
	'bolster',
	'cushion',
	'chair',
	'wall space',
	'belt',
	'elastic band',
	'weight'
] as const;
export type KitKind = (typeof KIT_KINDS)[number];

/** Where kit lies or stands, for the drawing: at a part of the body, or beside it. */
export const PROP_SITES = [
	'hips',
	'hands',
	'knees',
	'lead knee',
	'trail knee',
	'lead foot',
	'trail foot',
	'calves',
	'head',
	'chest',
	'in front',
	'behind',
	'beside'
] as const;
export type PropSite = (typeof PROP_SITES)[number];

/** Kit of one person, both sides counted: a block under each knee is 2. */
export interface PropUse {
	kit: KitKind;
	count: number;
	site: PropSite;
	/** How it is said: "under the back knee". */
	place: string;
}

/** Advice for a caution: change the movement, or give another one. */
export interface CautionAdvice {
	caution: Caution;
	advice: string;
	/** Slug of what the person gets instead. */
	instead: string;
	/** Forms that already do what the advice says; in none of the others is the movement given. */
	okIn: FormId[];
}

/** Families of shapes about which schools of teaching disagree; the cues of the schools are tied to them. */
export const FAMILIES = ['pigeon', 'low lunge', 'lunge', 'forward fold', 'warrior'] as const;
export type Family = (typeof FAMILIES)[number];

/** One way of doing a movement: supported, full, stronger or loaded. */
export interface Form {
	id: FormId;
	/** One line that sets this form apart from the others. */
	how: string;
	props: PropUse[];
	/** Where this form is done in other modes than the movement. */
	modes?: Mode[];
	/** 1 resting to 5 the deepest or hardest of its kind. */
	intensity: number;
	/** How hard the named muscles work: 0 not, 1 lightly, 2 so that it strengthens, 3 close to the most. */
	effort: number;
	dose: DoseRange;
	/** Where a mode has limits or a unit of its own. */
	doseIn?: Partial<Record<Mode, DoseRange>>;
	/** Where the angles of this form differ from those of the movement. */
	action?: ActionProfile;
	/** Where the body is drawn in another way than in the movement. */
	pose?: Pose;
	/** The forearms or something higher carry what the hands carry in the other forms. */
	offHands?: true;
	/** Coming out slowly costs time of its own. */
	leaveSeconds: number;
}

/** Parts of a leg that touch the floor. */
export const TOUCHES = ['foot', 'knee', 'none'] as const;
export type Touch = (typeof TOUCHES)[number];

/** Where the hands go in the drawn figure. */
export const ARMS = [
	'down',
	'floor',
	'floor behind',
	'up',
	'wide',
	'hips',
	'front',
	'heart',
	'along',
	'lead foot',
	'trail foot',
	'both feet',
	'lead knee',
	'both knees'
] as const;
export type Arms = (typeof ARMS)[number];

/** Parts of the drawing that the hip angles do not determine; each has a usual value by position. */
export interface Pose {
	/** Lean of the pelvis, degrees: 0 upright, 90 face down, -90 face up. */
	pitchDeg?: number;
	/** Bend of the spine on top of it, degrees: forward positive, back negative. */
	bendDeg?: number;
	/** Lean of the spine to the side of the leading leg, degrees. */
	sideDeg?: number;
	/** Roll of the pelvis about the long axis of the body toward the side of the leading leg, degrees. */
	rollDeg?: number;
	arms?: Arms;
	/** Contacts of the leading and of the other leg with the floor. */
	lead?: Touch[];
	trail?: Touch[];
	/** Which of the positions of a swing is drawn, 0 the first. */
	at?: number;
	/** The pelvis rests on the floor, or hangs where the legs put it. */
	seat?: 'floor' | 'free';
	/** The view that shows it best. */
	view?: 'side' | 'front';
}

export const CROSSINGS = ['shins', 'hands'] as const;
export type Crossing = (typeof CROSSINGS)[number];

/** Purposes of a movement: what sports and daily life ask of hips. A closed list; common practice, no source. */
export const PURPOSES = [
	'turned-out squat',
	'high step',
	'dropped knee',
	'wide straddle',
	'heel perch',
	'end-range lift',
	'knee pull',
	'hip extension under the trunk',
	'single-leg strength',
	'level pelvis',
	'push-off',
	'step-up',
	'deep flexion',
	'hinge with a long back',
	'sit on the heels',
	'adductors at length',
	'turning both ways',
	'standing up from a seat',
	'getting down and up',
	'floor sitting',
	'balance with support',
	'mid-range control',
	'reset',
	'rest'
] as const;
export type Purpose = (typeof PURPOSES)[number];
/** Purposes that a class or a series can be about: all but pure relaxation. */
export const AIMS: readonly Purpose[] = PURPOSES.filter(
	(purpose) => purpose !== 'reset' && purpose !== 'rest'
);

/** How much of the weight bent-back wrists carry: part of it on all fours, most of it in a plank. */
export const HAND_LOADS = ['some', 'most'] as const;
export type HandLoad = (typeof HAND_LOADS)[number];

export const TRUNK_TURNS = ['open', 'closed'] as const;
export type TrunkTurn = (typeof TRUNK_TURNS)[number];

/** Parts of the movement that go with the in-breath and with the out-breath. */
export interface BreathPattern {
	in: string;
	out: string;
}

/** One catalogue entry. `slug` is a permanent id. */
export interface Movement {
	slug: string;
	english: string;
	/** Empty where there is none that is common. */
	sanskrit: string;
	/** Other names and spellings that people search for. */
	aliases: string[];
	position: Position;
	families: Family[];
	/** Ordered by how much each is used; the first is the default. */
	modes: Mode[];
	action: ActionProfile;
	/** Purposes that it serves. */
	purposes: Purpose[];
	/** Where people feel it, when it is done as meant. */
	felt?: string;
	breath?: BreathPattern;
	/** How often it is usually done on a side, where that is more than once. */
	sets?: { usual: number; restSeconds: number };
	/** The last repetition may be kept up: "and hold". */
	closingHold?: true;
	/** The ladder, from the most supported form to the strongest. */
	forms: Form[];
	setUp: string;
	/** Point to observe. */
	watch: string;
	/** The usual mistakes. */
	mistakes: string;
	/** How to leave it. */
	leave: string;
	/** Words for the start of the second side, where "and the other side" is not enough. */
	secondSide?: string;
	/** Help that a partner can give, where that is common. */
	partner?: string;
	/** Load on the hands. */
	onHands?: HandLoad;
	/** The trunk turns: away from the bent thigh, or closed against it. */
	trunkTurn?: TrunkTurn;
	/** Held, it is pressed at one end and then at the other; other swings are held at their last position. */
	heldAtEachEnd?: true;
	/** Note for a teacher who faces the group; empty where plain mirroring works. */
	mirrored: string;
	/** The sides take turns (left, right, left ...): one pass serves both, without a change of sides. */
	byTurns?: true;
	/** Where no form does without kit: how it is done all the same, or the movement that takes its place. */
	withoutKit?: { how: string } | { instead: string };
	/** Circles, leans and walks that are owed the other way too. */
	bothWays?: true;
	/** Limbs that are crossed or clasped in a movement without sides; the crossing changes the next time. */
	crosses?: Crossing;
	/** Movements that people should know before they meet this one. */
	prerequisites: string[];
	/** Movements of which one should come earlier in the class. */
	preparations: string[];
	/** Shapes that undo it. */
	counters: string[];
	/** Movements with the same profile under another name, on purpose. */
	kin: string[];
	cautions: CautionAdvice[];
	pose: Pose;
}

/** Finds a movement by its slug; undefined when the catalogue has none. */
export type FindMovement = (slug: string) => Movement | undefined;

/** The form of a movement; undefined when it has none of that name. */
export function formOf(movement: Movement, id: FormId): Form | undefined {
	return movement.forms.find((form) => form.id === id);
}

/** The form that a class usually gets: the full one, or the first there is. */
export function usualForm(movement: Movement): Form {
	const form = formOf(movement, 'full') ?? movement.forms[0];
	if (!form) throw new Error(`movement ${movement.slug} has no form`);
	return form;
}
