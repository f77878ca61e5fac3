import { USUAL_PACE } from '../lib/core/pace';
import { CATALOGUE, findMovement } from '../lib/catalogue';
import { writeSeriesFile } from '../lib/core/formats';
import { FORM_IDS, AIMS, type FormId } from '../lib/core/movement';
import {
	analyseSeries,
	begunSeries,
	goalForPurpose,
	withUsualGoals,
	ladderTo,
	newSeries,
	proposeSeries,
	SERIES_LIMITS,
	settingsFor,
	withProposed,
	type Ladder
} from '../lib/core/series';
import { styleOf } from '../lib/core/style';
import { newGroup } from '../lib/core/group';
import { Complaint, groupAt, optionsIn, wholeNumberOption } from './input';
import { show } from './series';

export const PLAN_SERIES_USAGE = `  plan-series  a series of classes for a group (no file):
             --group FILE.json   for whom (else a mixed group)   --weeks N     how many (else 8)
             --days tue,fri      on which days (else the group's) --from DATE  the first day (else 2026-01-05)
             --goal SLUG[:FORM]  what it leads to, up to six; or a purpose: --goal "dropped knee"; left out: what the group comes for
             --seed N            another seed, another series
             --json              a series file`;

const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

/** `orbit plan-series`: plans a whole series and prints it, or as a series file. @returns 0 */
export async function planSeriesCommand(args: string[]): Promise<number> {
	const text = { type: 'string' as const };
	const values = optionsIn(args, {
		group: text,
		weeks: text,
		days: text,
		from: text,
		seed: text,
		goal: { type: 'string', multiple: true },
		json: { type: 'boolean' }
	});
	const group =
		values.group === undefined ? newGroup('general', 'A mixed group') : await groupAt(values.group);
	const weeks = wholeNumberOption('weeks', values.weeks, 8, 1, SERIES_LIMITS.weeks);
	const seed = wholeNumberOption('seed', values.seed, 1);
	const from = values.from ?? '2026-01-05';
	if (!/^\d{4}-\d{2}-\d{2}$/.test(from)) throw new Complaint('--from must be a day like 2026-01-05');
	const named = (values.goal ?? []).map((words): Ladder => {
		const purpose = AIMS.find((one) => one === words.trim().toLowerCase());
		const served = purpose && goalForPurpose(purpose, findMovement, group, styleOf());
		if (purpose && !served)
			throw new Complaint(`nothing that serves "${purpose}" can be a goal of this group`);
		const [slug = '', form = 'full'] = served ? [served.movement, served.form] : words.split(':');
		if (!findMovement(slug)) throw new Complaint(`the catalogue has no movement "${slug}"`);
		if (!FORM_IDS.includes(form as FormId))
			throw new Complaint(`there is no form "${form}"; there are ${FORM_IDS.join(', ')}`);
		const ladder = ladderTo({ movement: slug, form: form as FormId }, findMovement, group, styleOf());
		if (!ladder) throw new Complaint(`${slug} in the ${form} form cannot be a goal of this group`);
		return ladder;
	});
	const begun = newSeries(group, from, 'Europe/London', weeks);
	const settings = named.length
		? { ...begun, ...settingsFor(named, begun, findMovement), ladders: named }
		: withUsualGoals(begun, group, findMovement, styleOf());
	const meetings = values.days
		? values.days.split(',').map((day) => {
				const weekday = DAYS.indexOf(day.trim().toLowerCase()) + 1;
				if (!weekday) throw new Complaint(`there is no day "${day}"; there are ${DAYS.join(', ')}`);
				return { weekday, startsAt: group.startsAt };
			})
		: settings.meetings;
	let count = 0;
	const newId = () => `class-${String(++count).padStart(3, '0')}`;
	let planned = begunSeries({ ...settings, meetings }, newId);
	const context = { group, find: findMovement, catalogue: CATALOGUE, knownBefore: [], pace: USUAL_PACE };
	for (const { classId, plan } of proposeSeries({ planned, context, choices: {}, seed }))
		planned = withProposed(planned, { [classId]: plan });
	if (values.json) process.stdout.write(writeSeriesFile({ planned, group, movements: [] }));
	else show(analyseSeries(planned, context));
	return 0;
}
