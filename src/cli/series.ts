import { USUAL_PACE } from '../lib/core/pace';
import { CATALOGUE, findMovement } from '../lib/catalogue';
import { STATE_WORDS } from '../lib/core/view-models';
import { readSeriesFile } from '../lib/core/formats';
import { faultLines } from '../lib/core/validation';
import { catalogueView } from '../lib/core/movement';
import {
	analyseSeries,
	loadFactor,
	classLine,
	progressIn,
	targetLoad,
	rungOf,
	rungWords,
	seriesFindings,
	type SeriesAnalysis
} from '../lib/core/series';
import { Complaint, parsed, readText } from './input';
import { table } from './table';

export const SERIES_USAGE = `  series     FILE.json [--json]   a series: its classes and rungs, weeks with load, monotony and strain, findings`;

/** `orbit series`: prints a series file week by week, as if its group had met nothing before it. @returns 0 */
export async function seriesCommand(args: string[]): Promise<number> {
	const { values, positionals } = parsed(args, { json: { type: 'boolean' } });
	const [file, more] = positionals;
	if (!file) throw new Complaint('which file? orbit series FILE.json (or - for standard input)');
	if (more) throw new Complaint(`one file at a time; what is "${more}"?`);
	const read = readSeriesFile(await readText(file), findMovement);
	if (!read.ok) throw new Complaint(`${file} is not a series:\n  ${faultLines(read.faults).join('\n  ')}`);
	const { planned, group, movements } = read.value;
	const { offered, find } = catalogueView(CATALOGUE, [], [], movements);
	const analysis = analyseSeries(planned, {
		group,
		find,
		catalogue: offered,
		knownBefore: [],
		pace: USUAL_PACE
	});
	if (values.json) console.log(JSON.stringify(asJson(analysis), null, 2));
	else show(analysis);
	return 0;
}

function rungsOf(
	{ given }: SeriesAnalysis['classes'][number],
	{ planned, context }: SeriesAnalysis
): string[] {
	return given.map((g) => rungWords(rungOf(planned.series, g), context.find));
}

function asJson(analysis: SeriesAnalysis) {
	const { planned, classes, weeks, goals, balance } = analysis;
	return {
		title: planned.series.title,
		classes: classes.map((c) => ({
			number: c.number,
			on: c.class.on,
			startsAt: c.class.startsAt,
			state: c.state,
			easier: c.easier,
			retest: c.retest,
			minutes: c.minutes,
			effort: c.effort,
			load: c.load,
			plannedLoad: c.plannedLoad,
			targetLoad: targetLoad(analysis, c.class.week),
			rungs: rungsOf(c, analysis),
			progress: progressIn(classes, c, analysis.context.find),
			line: classLine(analysis, c)
		})),
		weeks: weeks.map((week) => ({
			number: week.number,
			monday: week.monday,
			classes: week.classes.length,
			easier: week.easier,
			load: week.load,
			plannedLoad: week.plannedLoad,
			target: loadFactor(planned.series, week.number),
			changePercent: week.changePercent,
			monotony: week.monotony,
			strain: week.strain,
			tissueSeconds: Object.fromEntries(week.tissues)
		})),
		goals,
		balance,
		findings: seriesFindings(analysis)
	};
}

const figure = (value: number | null, digits: number) => (value === null ? '' : value.toFixed(digits));

export function show(analysis: SeriesAnalysis): void {
	const { planned, classes, weeks } = analysis;
	console.log(
		table(
			['class', 'on', 'at', 'min', 'effort', 'state', 'rungs', 'what is further'],
			classes.map((c) => [
				String(c.number),
				c.class.on,
				c.class.startsAt,
				figure(c.minutes, 0),
				figure(c.effort, 1),
				STATE_WORDS[c.state],
				rungsOf(c, analysis).join('; '),
				classLine(analysis, c)?.now ?? ''
			])
		)
	);
	console.log();
	console.log(
		table(
			['week', 'from', 'load', 'change', 'monotony', 'strain', 'theme'],
			weeks.map((week) => [
				`${week.number}${week.easier ? ' easier' : ''}`,
				week.monday,
				figure(week.load, 0),
				week.changePercent === null ? '' : `${figure(week.changePercent, 0)} %`,
				figure(week.monotony, 2),
				figure(week.strain, 0),
				planned.series.themes[week.number - 1]?.words ?? ''
			])
		)
	);
	const findings = seriesFindings(analysis);
	console.log(`\n${findings.length ? '' : 'nothing to fix'}`);
	for (const { severity, checkId, message } of findings) console.log(`${severity}  ${message}  [${checkId}]`);
}
