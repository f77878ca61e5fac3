import { USUAL_PACE } from '../lib/core/pace';
import { CATALOGUE } from '../lib/catalogue';
import { TISSUES, type Tissue } from '../lib/core/anatomy';
import { formatDuration } from '../lib/core/clock';
import { writePlanFile, type PlanFile } from '../lib/core/formats';
import { newGroup } from '../lib/core/group';
import { POSITIONS, catalogueView, type Position } from '../lib/core/movement';
import { doseInWords, emptyPlan } from '../lib/core/plan';
import { planContext } from '../lib/core/analysis';
import {
	conflictOf,
	proposeClasses,
	type Proposal,
	type ProposeContext,
	type Wishes
} from '../lib/core/propose';
import { Complaint, groupAt, optionsIn, planAt, wholeNumberOption } from './input';
import { table } from './table';

export const PROPOSE_USAGE = `             --group FILE.json   for whom (else a mixed group)   --minutes N   how long (else the plan's, or 45)
             --plan FILE.json    keep what is in it              --seed N      another seed, another class
             --toward SLUG       the class leads up to it        --must SLUG,SLUG   --never SLUG,SLUG
             --lengthen TISSUE,TISSUE        held long for a minute a leg
             --without POSITION,POSITION                         --json        the class as a plan file`;

/** `orbit propose`: prints the class, or as a plan file. @returns 0, or 1 where the wishes do not go together */
export async function proposeCommand(args: string[]): Promise<number> {
	const { plan, group, minutes, seed, wishes, json } = await read(args);
	const file: PlanFile = plan ?? {
		plan: emptyPlan('', group.startsAt, group.lengthSeconds),
		group,
		movements: []
	};
	const lengthSeconds = minutes === null ? file.plan.lengthSeconds : Math.round(60 * minutes);
	const base = { ...file.plan, title: file.plan.title || `Proposed for ${group.name}`, lengthSeconds };
	const { offered, find } = catalogueView(CATALOGUE, [], [], file.movements);
	const context: ProposeContext = planContext({ offered, find }, group, USUAL_PACE);
	for (const slug of [
		...(wishes.must ?? []),
		...(wishes.never ?? []),
		...(wishes.toward ? [wishes.toward] : [])
	])
		if (!find(slug)) throw new Complaint(`the catalogue has no movement "${slug}"`);
	const conflict = conflictOf({ base, wishes, context });
	if (conflict) throw new Complaint(conflict.message);
	const [proposal] = [...proposeClasses({ base, wishes, context, seed, count: 1 })]
		.filter(({ done }) => done)
		.map(({ proposal: found }) => found);
	if (json) process.stdout.write(writePlanFile({ ...file, plan: proposal!.plan, group }));
	else show(proposal!);
	return 0;
}

function show({ plan, analysis, reasons, story, lostSeconds }: Proposal): void {
	if (story.length) console.log(`${story.join('\n')}\n`);
	const { find } = analysis.context;
	const why = new Map(reasons.map((reason) => [reason.itemId, reason.because.join('; ')]));
	const rows = analysis.context.items.map(({ item, movement, section, startSeconds }) => [
		formatDuration(startSeconds),
		section.kind,
		movement.english,
		item.form,
		doseInWords(item, find),
		why.get(item.id) ?? ''
	]);
	console.log(table(['at', 'part', 'movement', 'form', 'dose', 'because'], rows));
	const { totalSeconds } = analysis.timeline;
	console.log(
		`\n${plan.title}: ${formatDuration(totalSeconds)}, ${formatDuration(lostSeconds)} of it between blocks`
	);
}

const list = (text: string | undefined) => (text ? text.split(',').map((word) => word.trim()) : []);

async function read(args: string[]) {
	const text = { type: 'string' as const };
	const values = optionsIn(args, {
		group: text,
		minutes: text,
		seed: text,
		plan: text,
		toward: text,
		must: text,
		never: text,
		without: text,
		lengthen: text,
		json: { type: 'boolean' }
	});
	const plan = values.plan === undefined ? null : await planAt(values.plan);
	const group =
		values.group === undefined
			? (plan?.group ?? newGroup('general', 'A mixed group'))
			: await groupAt(values.group);
	const minutes = values.minutes === undefined ? null : Number(values.minutes);
	if (minutes !== null && !(minutes >= 1 && minutes <= 240))
		throw new Complaint('--minutes must be a number from 1 to 240');
	const seed = wholeNumberOption('seed', values.seed, 1);
	const without = list(values.without);
	for (const position of without)
		if (!POSITIONS.includes(position as Position))
			throw new Complaint(`there is no position "${position}"; there are ${POSITIONS.join(', ')}`);
	const lengthen = list(values.lengthen);
	for (const tissue of lengthen)
		if (!TISSUES.includes(tissue as Tissue))
			throw new Complaint(`there is no tissue "${tissue}"; there are ${TISSUES.join(', ')}`);
	const wishes: Wishes = {
		lengthen: lengthen as Tissue[],
		must: list(values.must),
		never: list(values.never),
		without: without as Position[],
		...(values.toward === undefined ? {} : { toward: values.toward })
	};
	return { plan, group, minutes, seed, wishes, json: Boolean(values.json) };
}
