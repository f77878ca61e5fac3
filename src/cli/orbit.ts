import { CATALOGUE } from '../lib/catalogue';
import { CLASS_KINDS, USUAL_PACE, type ClassKind, type PaceModel } from '../lib/core/pace';
import { DIRECTION_NAME, DIRECTIONS } from '../lib/core/anatomy';
import { roomSheet } from '../lib/core/substitution';
import { CHECKS, needsAttention } from '../lib/core/checks';
import { analysePlan, planContext, type Analysis } from '../lib/core/analysis';
import { formatDuration, PHASE_NAME, PHASES, phaseSeconds } from '../lib/core/clock';
import { fit, type FitChange } from '../lib/core/fit';
import { writePlanFile, type PlanFile } from '../lib/core/formats';
import { groupToday, preset, type Group } from '../lib/core/group';
import { POSITION_NAME, catalogueView } from '../lib/core/movement';
import { rangeSeconds } from '../lib/core/orbit';
import { worthOf } from '../lib/core/propose';
import { styleOf } from '../lib/core/style';
import { applyEdit } from '../lib/core/plan';
import { CAUTIONS_USAGE, cautionsCommand } from './cautions';
import { Complaint, groupAt, paceAt, parsed, planAt } from './input';
import { PLAN_SERIES_USAGE, planSeriesCommand } from './plan-series';
import { PROPOSE_USAGE, proposeCommand } from './propose';
import { SERIES_USAGE, seriesCommand } from './series';
import { table } from './table';

const USAGE = `usage: orbit <command> FILE.json [options]      (FILE.json or - for standard input)

  clock      the class second by second
  balance    time per direction and leg against the group's targets
  check      what the checks find; exit 1 when something must be fixed before teaching
  fit        the plan brought to its exact length, as a plan file
  score      the score of the class, part by part, in points: more is better
  room       what every tier and every caution in the room gets, and whether the kit suffices

  propose    a whole class for a group (no file):
${PROPOSE_USAGE}

${PLAN_SERIES_USAGE}

${SERIES_USAGE}

${CAUTIONS_USAGE}

  movements  the catalogue                                  (no file)
  checks     every check: what it looks at, why, its source (no file)

options
  --group FILE.json   the group whose targets count (else the one in the plan file, else a mixed group)
  --minutes N         for fit: this length instead of the plan's own
  --kind KIND         the kind of class, one of ${CLASS_KINDS.join(', ')}
  --pace FILE.json    the pace of who teaches: { "classKind": "flow", "setUpSeconds": 12 }
  --json              JSON instead of a table`;

interface CliOptions {
	command: string;
	file: string;
	groupFile: string | null;
	minutes: number | null;
	kind: ClassKind | null;
	paceFile: string | null;
	json: boolean;
}

/** @returns the exit code: 0 done, 1 bad input or (check) something that must be fixed */
export async function main(args: string[]): Promise<number> {
	if (args.length === 0 || args.includes('--help') || args.includes('-h')) {
		console.log(USAGE);
		return args.length === 0 ? 1 : 0;
	}
	try {
		if (args[0] === 'propose') return await proposeCommand(args.slice(1));
		if (args[0] === 'plan-series') return await planSeriesCommand(args.slice(1));
		if (args[0] === 'series') return await seriesCommand(args.slice(1));
		if (args[0] === 'cautions') return cautionsCommand(args.slice(1));
		const options = readOptions(args);
		const plain = WITHOUT_FILE[options.command];
		if (plain) return plain(options);
		const command = COMMANDS[options.command];
		if (!command) throw new Complaint(`there is no command "${options.command}"\n\n${USAGE}`);
		return command(await loadPlan(options), options);
	} catch (error) {
		if (!(error instanceof Complaint)) throw error;
		console.error(`orbit: ${error.message}`);
		return 1;
	}
}

function readOptions(args: string[]): CliOptions {
	const { values, positionals } = parsed(args, {
		json: { type: 'boolean' },
		group: { type: 'string' },
		minutes: { type: 'string' },
		kind: { type: 'string' },
		pace: { type: 'string' }
	});
	const [command = '', file, ...more] = positionals;
	const options: CliOptions = {
		command,
		file: file ?? '',
		groupFile: values.group ?? null,
		minutes: values.minutes === undefined ? null : Number(values.minutes),
		kind: kindOf(values.kind),
		paceFile: values.pace ?? null,
		json: values.json ?? false
	};
	if (!(command in COMMANDS) && !(command in WITHOUT_FILE))
		throw new Complaint(`there is no command "${command}"\n\n${USAGE}`);
	if (command in WITHOUT_FILE) {
		if (file) throw new Complaint(`orbit ${command} takes no file; what is "${file}"?`);
		return options;
	}
	if (!file) throw new Complaint(`which file? orbit ${command} FILE.json (or - for standard input)`);
	if (more.length) throw new Complaint(`one file at a time; what is "${more[0]}"?`);
	if (options.minutes !== null && !(options.minutes >= 1 && options.minutes <= 240))
		throw new Complaint('--minutes must be a number from 1 to 240');
	return options;
}

function kindOf(text: string | undefined): ClassKind | null {
	if (text === undefined) return null;
	const kind = CLASS_KINDS.find((one) => one === text);
	if (!kind) throw new Complaint(`--kind must be one of ${CLASS_KINDS.join(', ')}`);
	return kind;
}

/** A plan file with the pace at which it is read. */
interface Asked extends PlanFile {
	pace: PaceModel;
}

async function loadPlan({ file, groupFile, paceFile, kind }: CliOptions): Promise<Asked> {
	const read = await planAt(file);
	const pace = paceFile ? await paceAt(paceFile) : USUAL_PACE;
	return {
		...read,
		...(groupFile ? { group: await groupAt(groupFile) } : {}),
		pace: kind ? { ...pace, classKind: kind } : pace
	};
}

/** The catalogue, with the movements that the file brings before it. */
const catalogue = ({ movements }: PlanFile) => catalogueView(CATALOGUE, [], [], movements);

function analysis(file: Asked): Analysis {
	const targets = targetsOf(file.group);
	return analysePlan(file.plan, planContext(catalogue(file), file.group, file.pace, { targets }));
}

const targetsOf = (group: Group | null) => (group ? group.targets : preset('general').targets);

const COMMANDS: Record<string, (file: Asked, options: CliOptions) => number> = {
	score(file, { json }) {
		const { total, parts } = worthOf(file.plan, catalogue(file).find, file.group, file.pace);
		if (json) print({ total, parts });
		else {
			const rows = Object.entries(parts).map(([part, points]) => [part, points.toFixed(2)]);
			console.log(table(['part', 'points'], [...rows, ['in all', total.toFixed(2)]]));
		}
		return 0;
	},
	clock(file, { json }) {
		const { timeline } = analysis(file);
		const { totalSeconds } = timeline;
		if (json) {
			const phases = phaseSeconds(timeline);
			print({ totalSeconds, lengthSeconds: file.plan.lengthSeconds, phases, timeline: timeline.entries });
			return 0;
		}
		const { find } = catalogue(file);
		const name = (slug: string | null) => (slug ? (find(slug)?.english ?? slug) : '');
		const rows = timeline.entries.map((e) => [
			formatDuration(e.fromSeconds),
			formatDuration(e.toSeconds - e.fromSeconds),
			PHASE_NAME[e.phase],
			name(e.movement),
			e.side === null ? '' : `side ${e.side}`,
			e.leads ? `${e.leads} leads` : ''
		]);
		console.log(table(['from', 'for', 'phase', 'movement', 'side', 'leads'], rows));
		const sums = phaseSeconds(timeline);
		const parts = PHASES.filter((p) => sums[p] > 0).map((p) => `${PHASE_NAME[p]} ${formatDuration(sums[p])}`);
		console.log(`\n${parts.join(', ')}`);
		console.log(`total ${formatDuration(totalSeconds)} of ${formatDuration(file.plan.lengthSeconds)}`);
		return 0;
	},

	balance(file, { json }) {
		const { orbit, balance } = analysis(file);
		if (json) {
			print({ ...orbit, verdicts: balance });
			return 0;
		}
		const rows = DIRECTIONS.map((d) => {
			const v = balance.directions[d];
			return [
				DIRECTION_NAME[d],
				formatDuration(orbit.range.left[d]),
				formatDuration(orbit.range.right[d]),
				`${v.sharePercent.toFixed(1)} %`,
				`${v.band.minPercent}-${v.band.maxPercent} %`,
				v.standing === 'within' ? 'within' : `${v.standing} by ${formatDuration(Math.abs(v.offBySeconds))}`,
				formatDuration(orbit.strength.left[d]),
				formatDuration(orbit.strength.right[d])
			];
		});
		const headings = [
			'direction',
			'left',
			'right',
			'share',
			'target',
			'verdict',
			'strength left',
			'strength right'
		];
		console.log(table(headings, rows));
		const s = balance.strength;
		console.log(
			`\nstrength ${s.sharePercent.toFixed(1)} % of the work (target ${s.band.minPercent}-${s.band.maxPercent} %): ${s.standing}`
		);
		const all = DIRECTIONS.reduce((sum, d) => sum + rangeSeconds(orbit, d), 0);
		console.log(`direction time ${formatDuration(all)}, both legs together`);
		return 0;
	},

	check(file, { json }) {
		const { findings } = analysis(file);
		if (json) print({ findings });
		else if (findings.length === 0) console.log('nothing to fix');
		else
			console.log(
				table(
					['severity', 'check', 'at', 'finding'],
					findings.map((f) => [
						f.severity,
						f.checkId,
						f.where.atSeconds === undefined ? '' : formatDuration(f.where.atSeconds),
						f.message
					])
				)
			);
		return findings.some(needsAttention) ? 1 : 0;
	},

	fit(file, { json, minutes }) {
		const { pace, ...whole } = file;
		const { plan } = file;
		const lengthSeconds = minutes === null ? plan.lengthSeconds : Math.round(minutes * 60);
		const result = fit(plan, catalogue(file).find, pace, lengthSeconds);
		if (!result.ok) throw new Complaint(result.message);
		const fitted = applyEdit(applyEdit(plan, { do: 'setPlan', change: { lengthSeconds } }), {
			do: 'setDoses',
			doses: result.doses
		});
		if (json) process.stdout.write(writePlanFile({ ...whole, plan: fitted }));
		else {
			const rows = result.changed.map((c) => [c.itemId, doseText(c.from), doseText(c.to)]);
			console.log(rows.length ? table(['item', 'dose', 'becomes'], rows) : 'nothing to change');
			console.log(`\ntotal ${formatDuration(result.totalSeconds)}`);
		}
		return 0;
	},

	room(file, { json }) {
		if (!file.group) throw new Complaint('the file names no group; give one with --group FILE.json');
		const { context } = analysis(file);
		const sheet = roomSheet(
			context.items,
			groupToday(file.group, file.plan.here),
			context.find,
			styleOf(file.plan.style)
		);
		if (json) {
			print(sheet);
			return 0;
		}
		const rows = sheet.rows.map((row) => [
			formatDuration(row.fromSeconds),
			row.english,
			row.tiers.map((t) => `${t.tier} ${t.form}`).join(', '),
			row.cautions
				.map(
					(c) =>
						`${c.caution} (${c.people}): ${c.insteadName ?? (c.form ? `${c.form} form` : c.kind === 'clinician' ? 'the clinician decides' : 'as it stands')}`
				)
				.join('; '),
			row.shortages.join('; ')
		]);
		console.log(table(['at', 'movement', 'tiers', 'cautions', 'kit'], rows));
		console.log(
			'\nPain means stop, in the knee above all. After a recent operation or with leg symptoms the treating clinician decides.'
		);
		return 0;
	}
};

const WITHOUT_FILE: Record<string, (options: CliOptions) => number> = {
	movements({ json }) {
		if (json) print({ movements: CATALOGUE });
		else
			console.log(
				table(
					['slug', 'name', 'sanskrit', 'position', 'modes', 'forms'],
					CATALOGUE.map((m) => [
						m.slug,
						m.english,
						m.sanskrit,
						POSITION_NAME[m.position],
						m.modes.join(', '),
						m.forms.map((form) => form.id).join(', ')
					])
				)
			);
		return 0;
	},

	checks({ json }) {
		const list = CHECKS.map(({ meta: { id, severity, summary, why, source, canRepair } }) => ({
			id,
			severity,
			summary,
			why,
			source,
			canRepair
		}));
		if (json) print({ checks: list });
		else
			console.log(
				table(
					['check', 'severity', 'what it asks'],
					list.map((c) => [c.id, c.severity, c.summary])
				)
			);
		return 0;
	}
};

const doseText = ({ amount, sets }: FitChange['from']) =>
	sets === 1 ? String(amount) : `${sets} x ${amount}`;

function print(value: unknown): void {
	console.log(JSON.stringify(value, null, 2));
}
