import type { Leg } from '../anatomy';
import { type FamiliarMovements } from '../record';
import type { Balance, Orbit, Targets } from '../orbit';
import type { TimedItem, Timeline } from '../clock';
import type { FindMovement, Movement } from '../movement';
import type { Group } from '../group';
import type { PaceModel } from '../pace';
import type { TeachingStyle } from '../style';
import type { ClassPlan, PlanEdit } from '../plan';

/** `stop`: this class cannot be taught like this. `fix`: should be changed. `note`: worth knowing. */
export const SEVERITIES = ['stop', 'fix', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** Returns true if the finding must be resolved before the class is taught. Notes need not be. */
export const needsAttention = ({ severity }: { severity: string }): boolean => severity !== 'note';

/** Everything that a plan is analysed against. */
export interface PlanContext {
	/** Movements that a repair may add: those that the catalogue offers. */
	catalogue: readonly Movement[];
	find: FindMovement;
	targets: Targets;
	/** The pace of who teaches. */
	pace: PaceModel;
	/** The people, where they are known: the checks that are about people ask for them. */
	group?: Group | null;
	/** Movements that this group has met before; null or missing where that is unknown. */
	known?: FamiliarMovements | null;
	/** The leg that led in the group's class before this one. */
	lastFirstSide?: Leg | null;
	/** Checks that who teaches does not want to hear of in any class, and why. */
	silencedChecks?: readonly SilencedCheck[];
}

/** All that a check may look at: the plan and what was worked out from it. */
export interface CheckContext extends PlanContext {
	plan: ClassPlan;
	style: TeachingStyle;
	timeline: Timeline;
	orbit: Orbit;
	balance: Balance;
	/** In the order in which they are taught. */
	items: readonly TimedItem[];
}

/** Where a finding stands: at an item, or over the whole class. */
export interface Where {
	itemId?: string;
	blockId?: string;
	atSeconds?: number;
}

/** One thing that a check found in a plan. */
export interface Finding {
	checkId: string;
	severity: Severity;
	message: string;
	/** The first place of it. */
	where: Where;
	/** All places that have the same cause, the first among them; empty where it has none. */
	places: Where[];
	/** Key of the cause. Reports with one cause become one finding, in however many places. */
	cause: string;
	/** Figures and words of the message, for code that computes with them. */
	data: Record<string, string | number>;
	repairable: boolean;
}

/** A check that a teacher does not want to hear of in any class, and why. */
export interface SilencedCheck {
	check: string;
	reason: string;
}

/** A finding that the teacher silenced, and why. */
export interface SilencedFinding {
	finding: Finding;
	reason: string;
	/** Not only in this class: its check is silenced in all of the teacher's. */
	forGood: boolean;
}

/** A change of the plan that solves a finding. */
export interface Repair {
	/** Label of the button. */
	label: string;
	edits: PlanEdit[];
}

/** Describes a check: in docs, in lists and beside each finding. */
export interface CheckMeta {
	/** Also the file's name. */
	id: string;
	summary: string;
	severity: Severity;
	why: string;
	/** The published source, or "common practice". */
	source: string;
	canRepair: boolean;
	/** A check of safety is answered by confirming, never silenced. */
	neverSilent?: boolean;
}

/**
 * One report of a check; fields left out are taken from the check's meta. Reports with the same `cause` become one
 * finding with all their places; a report without a cause is a finding of its own.
 */
export type Report = Pick<Finding, 'message'> &
	Partial<Pick<Finding, 'where' | 'data' | 'severity' | 'repairable' | 'cause'>>;

/**
 * One rule. `check` only looks and reports; `repair` works out an edit when it is asked for, since some take
 * longer than a keystroke may.
 */
export interface Check {
	meta: CheckMeta;
	check(context: CheckContext): Report[];
	repair?(finding: Finding, context: CheckContext): Repair | null;
}
