// A running order as a reader sees it: rows of what is done, where and how long, read from the text of a class.
import { CATALOGUE } from '../../src/lib/catalogue';
import type { FormId, Mode, Movement } from '../../src/lib/core/movement';

export type Place = 'back' | 'front' | 'side' | 'seat' | 'all fours' | 'knees' | 'chair' | 'feet';

/** One thing that is done. */
export interface Row {
	section: string;
	movement: Movement;
	place: Place;
	form: FormId;
	mode: Mode;
	/** Seconds of the whole item, with everything until the next one or the next words. */
	seconds: number;
	at: number;
	amount: number;
	unit: string;
	sided: boolean;
	sets: number;
	/** Pieces of kit by their name, for one person. */
	kit: ReadonlyMap<string, number>;
	/** Counts the chains and flows; null where it stands alone. */
	linked: number | null;
	flow: boolean;
}

/** Words, and pauses to notice. */
export interface Said {
	words: { at: number; seconds: number }[];
	pauses: number;
}

/** A class as its reader has it. */
export interface Sheet extends Said {
	who: string;
	people: number;
	tiers: { tight: number; middling: number; open: number };
	cautions: { caution: string; people: number }[];
	kit: ReadonlyMap<string, number>;
	moment: string;
	seconds: number;
	rows: Row[];
}

const PLACES: Record<string, Place> = {
	standing: 'feet',
	kneeling: 'knees',
	'all fours': 'all fours',
	seated: 'seat',
	'on the side': 'side',
	'on the front': 'front',
	'on the back': 'back',
	'on the back, legs at the wall': 'back'
};
const MODES: Record<string, Mode> = {
	moving: 'dynamic',
	'active hold': 'active',
	'isometric hold': 'isometric',
	'press and ease': 'press-and-ease',
	passive: 'passive',
	resting: 'rest'
};
const BY_NAME = new Map(CATALOGUE.map((movement) => [plain(movement.english), movement]));

function plain(words: string): string {
	return words.replaceAll('’', "'").toLowerCase().trim();
}

const secondsOf = (clock: string): number => {
	const [minutes, seconds] = clock.split(':').map(Number);
	return 60 * minutes! + seconds!;
};

/** Reads kit from "24 blocks, 8 places at a wall": the kind in the singular. */
function kitOf(words: string): Map<string, number> {
	const kit = new Map<string, number>();
	for (const part of words.split(', ')) {
		const found = /^(\d+|an?) (.+)$/.exec(part.trim());
		if (!found) continue;
		const name = found[2]!
			.replace(/ \(.*$/, '')
			.replace(/^places at a wall$|^wall space$|^wall$/, 'wall')
			.replace(/s$/, '');
		kit.set(name, (kit.get(name) ?? 0) + (Number(found[1]) || 1));
	}
	return kit;
}

/**
 * Reads the text of a class, as `render` writes it.
 * @throws Error that names a line whose movement the catalogue does not have
 */
export function readSheet(text: string): Sheet {
	const lines = text.split('\n');
	const head = (name: string) =>
		lines
			.find((line) => line.startsWith(`${name}:`))
			?.slice(name.length + 1)
			.trim() ?? '';
	const who = /^(.*), (\d+) people$/.exec(head('Who'))!;
	const tiers = /(\d+) tight, (\d+) middling, (\d+) open/.exec(head('Tiers'))!;
	const cautions = [...head('Cautions').matchAll(/([a-z][^,(]*) \((\d+)\)/g)].map((found) => ({
		caution: found[1]!.trim(),
		people: Number(found[2])
	}));
	const sheet: Sheet = {
		who: who[1]!,
		people: Number(who[2]),
		tiers: { tight: Number(tiers[1]), middling: Number(tiers[2]), open: Number(tiers[3]) },
		cautions,
		kit: kitOf(head('Kit in the room')),
		moment: head('Moment'),
		seconds: 60 * Number(/(\d+) min/.exec(head('Length'))![1]),
		rows: [],
		words: [],
		pauses: 0
	};
	let section = '';
	let linked = 0;
	let inLink = false;
	let flow = false;
	let linkAt = 0;
	for (const line of lines) {
		if (/^[A-Z]+$/.test(line) && line !== 'CLASS') section = line.toLowerCase();
		if (/^\s+pause/.test(line)) sheet.pauses += 1;
		const words = /^\s*(\d+:\d\d) {2}words, (\d+) s/.exec(line);
		if (words) sheet.words.push({ at: secondsOf(words[1]!), seconds: Number(words[2]) });
		if (/^\s*\d+:\d\d {2}(CHAIN|FLOW)/.test(line)) {
			linked += 1;
			inLink = true;
			flow = line.includes('FLOW');
			linkAt = secondsOf(/(\d+:\d\d)/.exec(line)![1]!);
			continue;
		}
		const item = /^\s*(?:(\d+:\d\d) {2})?(- )?(.+?) \[(.+)\]$/.exec(line);
		if (!item) continue;
		if (!item[2]) inLink = false;
		const movement = BY_NAME.get(plain(item[3]!));
		if (!movement) throw new Error(`the catalogue has no "${item[3]}"`);
		const at = item[1] ? secondsOf(item[1]) : linkAt;
		sheet.rows.push(
			rowOf(item[4]!.split('; '), movement, section, at, inLink ? linked : null, flow && inLink)
		);
	}
	for (const [i, row] of sheet.rows.entries()) {
		const next = sheet.rows.slice(i + 1).find(({ at }) => at > row.at);
		const spoken = sheet.words.find(({ at }) => at > row.at)?.at ?? sheet.seconds;
		const until = Math.min(next?.at ?? sheet.seconds, spoken);
		const together = sheet.rows.filter(({ at }) => at === row.at).length;
		row.seconds = (until - row.at) / together;
	}
	shareChains(sheet.rows);
	return sheet;
}

function rowOf(
	parts: readonly string[],
	movement: Movement,
	section: string,
	at: number,
	linked: number | null,
	flow: boolean
): Row {
	const place = PLACES[parts[0]!]!;
	const form = (/(\w+) form/.exec(parts.find((part) => part.includes(' form')) ?? '')?.[1] ??
		'full') as FormId;
	const mode = parts.map((part) => MODES[part]).find(Boolean) ?? 'dynamic';
	const dose = parts.find((part) => /^\d+ /.test(part)) ?? '';
	const kit = kitOf((parts.find((part) => part.startsWith('with ')) ?? '').slice(5));
	return {
		section,
		movement,
		place: place === 'seat' && kit.has('chair') ? 'chair' : place,
		form,
		mode,
		seconds: 0,
		at,
		amount: Number(/^(\d+)/.exec(dose)?.[1] ?? 1),
		unit: /^\d+ ([a-z]+)/.exec(dose)?.[1] ?? '',
		sided: / each side/.test(dose),
		sets: Number(/(\d+) sets/.exec(dose)?.[1] ?? 1),
		kit,
		linked,
		flow
	};
}

/** The second side of a chain stands in the time after its last part: it is shared among its parts. */
function shareChains(rows: Row[]): void {
	const chains = new Map<number, Row[]>();
	for (const row of rows)
		if (row.linked !== null) chains.set(row.linked, [...(chains.get(row.linked) ?? []), row]);
	for (const chain of chains.values()) {
		const all = chain.reduce((sum, { seconds }) => sum + seconds, 0);
		for (const row of chain) row.seconds = all / chain.length;
	}
}
