import { effortOfAnalysis, livedClasses, livedInWords, type Analysis, type LivedClass } from '../analysis';
import type { Severity } from '../checks';
import { formatDuration } from '../clock';
import { kitName } from '../group';
import type { KitKind } from '../movement';
import { kitOfForm, nameOfWho } from '../substitution';
import { classRing, type RingSector } from './ring';

/** One item: what the room does, and what these people do. */
export interface LivedRowView {
	id: string;
	at: string;
	room: string;
	/** "Bridge, supported: a cushion between the knees"; empty where it is the same. */
	own: string;
}

/** A class as a kind of people live it, ready to be shown. */
export interface LivedView {
	/** For the address: "sore-knee". */
	id: string;
	name: string;
	people: number;
	ring: RingSector[];
	facts: { label: string; value: string }[];
	findings: { severity: Severity; message: string }[];
	rows: LivedRowView[];
}

const effortWords = (analysis: Analysis) => `${effortOfAnalysis(analysis).toFixed(1)} of 10`;

/** The kit of one person over a class: the most of each kind that an item needs. */
function kitOf({ context }: Analysis): string {
	const most = new Map<KitKind, number>();
	for (const { form } of context.items)
		for (const [kit, count] of kitOfForm(form)) most.set(kit, Math.max(count, most.get(kit) ?? 0));
	return [...most].map(([kit, count]) => `${count} ${kitName(kit, count)}`).join(', ') || 'none';
}

const ownWords = ({ own, waits }: LivedClass['rows'][number]): string =>
	waits
		? `waits for the clinician: ${own ? own.english : 'rests'}`
		: own
			? `${own.english}, ${own.form}: ${own.how}`
			: '';

/** Returns a class as each kind of people lives it who do something else in it than the room. */
export const livedViews = (room: Analysis): LivedView[] =>
	livedClasses(room).map((lived) => ({
		id: nameOfWho(lived.who).replaceAll(' ', '-'),
		name: nameOfWho(lived.who),
		people: lived.people,
		ring: classRing(lived.analysis.orbit, lived.analysis.balance),
		facts: [
			{ label: 'Items that differ', value: `${lived.differing} of ${lived.rows.length}` },
			{
				label: 'Strength',
				value: `${formatDuration(lived.strengthSeconds.own)}, the room ${formatDuration(lived.strengthSeconds.room)}`
			},
			{ label: 'Effort', value: `${effortWords(lived.analysis)}, the room ${effortWords(room)}` },
			{ label: 'Peak', value: lived.peak?.english ?? 'none' },
			{ label: 'Kit for each', value: kitOf(lived.analysis) }
		],
		findings: lived.findings,
		rows: lived.rows.map((row) => ({
			id: row.itemId,
			at: formatDuration(row.atSeconds),
			room: `${row.english}, ${row.form}`,
			own: ownWords(row)
		}))
	}));

/** Returns one line for each kind of people who do something else than the room. */
export const livedLines = (room: Analysis): string[] => livedClasses(room).map(livedInWords);
