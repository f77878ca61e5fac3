import { clock, timedItems, type Timeline } from '../clock';
import { fit } from '../fit';
import { groupToday } from '../group';
import { balance, orbit, type Balance, type Orbit } from '../orbit';
import { applyEdit, blocksOf, itemsAsDone, tidied, type ClassPlan, type Item } from '../plan';
import { styleOf } from '../style';
import { plannedEffort } from '../training-load';
import {
	CHECKS,
	SEVERITIES,
	type CheckContext,
	type CheckMeta,
	type Finding,
	type Repair,
	type Report,
	type PlanContext,
	type SilencedFinding
} from '../checks';

/** Everything that is worked out from a plan: nothing of it is stored. */
export interface Analysis {
	timeline: Timeline;
	orbit: Orbit;
	balance: Balance;
	findings: Finding[];
	/** Findings that the teacher has silenced. */
	silenced: SilencedFinding[];
	context: CheckContext;
}

/**
 * Reads a plan: clock, orbit, balance against the targets, and the findings of all checks (or those named in `only`).
 * @throws Error when the plan names a movement or form that the catalogue does not have
 */
export function analysePlan(plan: ClassPlan, context: PlanContext, only?: ReadonlySet<string>): Analysis {
	const { find, targets, pace } = context;
	const timeline = clock(plan, find, pace);
	const items = new Map<string, Item>(
		blocksOf(plan).flatMap(({ block }) => itemsAsDone(block).map((item) => [item.id, item] as const))
	);
	const found = orbit(timeline, find, (id) => items.get(id));
	const verdicts = balance(found, targets);
	const within: CheckContext = {
		...context,
		group: context.group && groupToday(context.group, plan.here),
		plan,
		style: styleOf(plan.style),
		timeline,
		orbit: found,
		balance: verdicts,
		items: timedItems(plan, find, timeline)
	};
	return { timeline, orbit: found, balance: verdicts, ...runChecks(within, only), context: within };
}

/** How hard a class is planned to be, 0-10. */
export function effortOfAnalysis({ timeline, context }: Analysis): number {
	const known = new Map(
		context.items.map(({ item, form }) => [item.id, { mode: item.mode, effort: form.effort }])
	);
	return plannedEffort(timeline, (id) => known.get(id));
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
		/** Findings of this check by what they have in common, each list in the order of the class. */
		const ofOneCause = new Map<unknown, Finding[]>();
		for (const report of check(context)) {
			const finding = findingOf(report, meta);
			const inClass = here.find(
				(s) => s.check === meta.id && (s.itemId === undefined || s.itemId === finding.where.itemId)
			);
			const silence = inClass ?? everywhere.find((s) => s.check === meta.id);
			if (silence && !meta.neverSilent) {
				silenced.push({ finding, reason: silence.reason, forGood: !inClass });
				continue;
			}
			// a report without a cause is a finding of its own
			const key = report.cause === undefined ? finding : `${finding.severity} ${finding.cause}`;
			const same = ofOneCause.get(key);
			if (same) same.push(finding);
			else ofOneCause.set(key, [finding]);
		}
		for (const same of ofOneCause.values()) found.push(joined(same, context));
	}
	return {
		findings: SEVERITIES.flatMap((severity) => found.filter((finding) => finding.severity === severity)),
		silenced
	};
}

function findingOf(report: Report, meta: CheckMeta): Finding {
	const where = report.where ?? {};
	return {
		checkId: meta.id,
		severity: report.severity ?? meta.severity,
		message: report.message,
		where,
		places: Object.keys(where).length ? [where] : [],
		cause: report.cause ?? where.itemId ?? where.blockId ?? String(report.data?.direction ?? ''),
		data: report.data ?? {},
		repairable: report.repairable ?? meta.canRepair
	};
}

/** Other places of a cause that are named; more are counted. */
const NAMED_PLACES = 3;

/** One finding for all places of a cause: the first, with the others named behind it. */
function joined([first, ...others]: Finding[], { find }: CheckContext): Finding {
	const finding = first as Finding;
	if (others.length === 0) return finding;
	const places = [finding, ...others].flatMap((one) => one.places);
	const slugs = [...new Set(others.map(({ data }) => String(data.movement ?? '')))].filter(
		(slug) => slug && slug !== finding.data.movement
	);
	const names = slugs.map((slug) => find(slug)?.english ?? slug);
	const more = names.length > NAMED_PLACES ? ` and ${names.length - NAMED_PLACES} more` : '';
	const also = names.length
		? `also ${names.slice(0, NAMED_PLACES).join(', ')}${more}`
		: `${places.length} times`;
	return {
		...finding,
		message: `${finding.message} (${also})`,
		places,
		data: { ...finding.data, also: slugs.join(' ') }
	};
}

/** The effect of a repair: the analysed plan after it, with the findings that it adds and removes. */
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
