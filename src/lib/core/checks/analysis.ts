import { clock, timedItems, type Timeline } from '../clock';
import { fit } from '../fit';
import { groupToday } from '../group';
import { balance, orbit, type Balance, type Orbit } from '../orbit';
import { applyEdit, blocksOf, itemsAsDone, tidied, type ClassPlan, type Item } from '../plan';
import { styleOf } from '../style';
import { CHECKS } from './registry';
import {
	SEVERITIES,
	type CheckContext,
	type Finding,
	type Repair,
	type PlanContext,
	type SilencedFinding
} from './types';

/** Everything that is worked out from a plan: nothing of it is stored. */
export interface Analysis {
	timeline: Timeline;
	orbit: Orbit;
	balance: Balance;
	findings: Finding[];
	/** What would be found as well, and why it is not. */
	silenced: SilencedFinding[];
	context: CheckContext;
}

/**
 * Reads a plan: clock, orbit, balance against the targets, and the findings of all checks (or those named in `only`).
 * @throws Error when the plan names a movement or form that the catalogue does not have
 */
export function analysePlan(plan: ClassPlan, setting: PlanContext, only?: ReadonlySet<string>): Analysis {
	const { find, targets, pace } = setting;
	const timeline = clock(plan, find, pace);
	const items = new Map<string, Item>(
		blocksOf(plan).flatMap(({ block }) => itemsAsDone(block).map((item) => [item.id, item] as const))
	);
	const found = orbit(timeline, find, (id) => items.get(id));
	const verdicts = balance(found, targets);
	const context: CheckContext = {
		...setting,
		group: setting.group && groupToday(setting.group, plan.here),
		plan,
		style: styleOf(plan.style),
		timeline,
		orbit: found,
		balance: verdicts,
		items: timedItems(plan, find, timeline)
	};
	return { timeline, orbit: found, balance: verdicts, ...runChecks(context, only), context };
}

/** All findings, the gravest first; those that the teacher silenced stand apart, with the reason. */
export function runChecks(
	context: CheckContext,
	only?: ReadonlySet<string>
): { findings: Finding[]; silenced: SilencedFinding[] } {
	const found: Finding[] = [];
	const silenced: SilencedFinding[] = [];
	const here = context.plan.silenced ?? [];
	const everywhere = context.silencedChecks ?? [];
	for (const { meta, check } of CHECKS) {
		if (only && !only.has(meta.id)) continue;
		for (const report of check(context)) {
			const where = report.where ?? {};
			const finding: Finding = {
				checkId: meta.id,
				severity: report.severity ?? meta.severity,
				message: report.message,
				where,
				places: Object.keys(where).length ? [where] : [],
				cause: report.cause ?? where.itemId ?? where.blockId ?? String(report.data?.direction ?? ''),
				data: report.data ?? {},
				repairable: report.repairable ?? meta.canRepair
			};
			const inClass = here.find(
				(s) => s.check === meta.id && (s.itemId === undefined || s.itemId === finding.where.itemId)
			);
			const silence = inClass ?? everywhere.find((s) => s.check === meta.id);
			if (silence && !meta.neverSilent) silenced.push({ finding, reason: silence.reason, forGood: !inClass });
			else if (report.cause === undefined) found.push(finding);
			else joined(found, finding, context);
		}
	}
	return {
		findings: SEVERITIES.flatMap((severity) => found.filter((finding) => finding.severity === severity)),
		silenced
	};
}

/** Other places of a cause that are named; more are counted. */
const NAMED_PLACES = 3;
/** How a message ends that names other places. */
const OTHER_PLACES = / \((also [^)]*|\d+ times)\)$/;

/** Puts a finding to what its check found of the same cause already, or behind everything as a finding of its own. */
function joined(found: Finding[], finding: Finding, { find }: CheckContext): void {
	const same = found.find(
		(other) =>
			other.checkId === finding.checkId &&
			other.cause === finding.cause &&
			other.severity === finding.severity
	);
	if (!same) {
		found.push(finding);
		return;
	}
	same.places.push(...finding.places);
	const first = String(same.data.movement);
	const slugs = [...String(same.data.also ?? '').split(' '), String(finding.data.movement ?? '')];
	const others = [...new Set(slugs)].filter((slug) => slug && slug !== first);
	same.data.also = others.join(' ');
	const names = others.map((slug) => find(slug)?.english ?? slug);
	const more = names.length > NAMED_PLACES ? ` and ${names.length - NAMED_PLACES} more` : '';
	const also = names.length
		? `also ${names.slice(0, NAMED_PLACES).join(', ')}${more}`
		: `${same.places.length} times`;
	same.message = `${same.message.replace(OTHER_PLACES, '')} (${also})`;
}

/** What a repair changes: the plan after it, read, and what came and went. */
export interface Preview {
	repair: Repair;
	after: Analysis;
	/** Findings that are gone, and findings that are new. */
	solved: Finding[];
	raised: Finding[];
}

const sameFinding = (a: Finding, b: Finding) => a.checkId === b.checkId && a.cause === b.cause;
/** Still there, in as many places. */
const stillThere = (before: Finding, after: Finding) =>
	sameFinding(before, after) && after.places.length >= before.places.length;
const gravity = (finding: Finding) => SEVERITIES.indexOf(finding.severity);

/**
 * The repair of a finding with its before and after, worked out now; null when there is none for this plan, or when
 * it would raise a worse finding than it solves.
 */
export function previewRepair(finding: Finding, context: CheckContext): Preview | null {
	const found = CHECKS.find((c) => c.meta.id === finding.checkId)?.repair?.(finding, context) ?? null;
	if (!found || found.edits.length === 0) return null;
	const repair = keptOnTime(found, context);
	const before = runChecks(context).findings;
	const after = analysePlan(tidied(repair.edits.reduce(applyEdit, context.plan), context.find), context);
	const raised = after.findings.filter(
		(f) => !before.some((b) => sameFinding(b, f) && gravity(b) <= gravity(f))
	);
	const solved = before.filter((b) => !after.findings.some((f) => stillThere(b, f)));
	if (raised.some((f) => gravity(f) < gravity(finding))) return null;
	return { repair, after, solved, raised };
}

/** A class that was on time stays on time: what a repair adds or takes is fitted away, where the doses can give it. */
function keptOnTime(repair: Repair, { plan, timeline, find, pace }: CheckContext): Repair {
	if (timeline.totalSeconds !== plan.lengthSeconds) return repair;
	const after = repair.edits.reduce(applyEdit, plan);
	if (clock(after, find, pace).totalSeconds === plan.lengthSeconds) return repair;
	const fitted = fit(after, find, pace);
	return fitted.ok
		? { ...repair, edits: [...repair.edits, { do: 'setDoses', doses: fitted.doses }] }
		: repair;
}

/** The repair of a finding, worked out now; null when there is none for this plan that makes nothing worse. */
export function repairOf(finding: Finding, context: CheckContext): Repair | null {
	return previewRepair(finding, context)?.repair ?? null;
}
