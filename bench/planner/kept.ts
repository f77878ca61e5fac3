import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { optionsFor, points } from '../../src/lib/core/propose';
import {
	BRIEF_BELOW_SECONDS,
	CALM_UP_TO_INTENSITY,
	COSTS_SPORT_FROM_SECONDS,
	DEEP_FROM_INTENSITY,
	LONG_STRETCH_SECONDS,
	OPENING_ITEMS,
	WARM_AFTER_SECONDS
} from '../../src/lib/core/rules';
import type { Instance } from './instances';

/** What HiGHS says of one instance; points of the objective. */
export interface Proven {
	/** Of everything that the model is made of: another catalogue, group or clock makes another. */
	hash: string;
	/** No class costs less. */
	bound: number;
	/** The best class that HiGHS found, by the evaluator of its own, and by the model (which leaves some things out). */
	best: number;
	claimed: number;
	/** Seconds of the whole, and until the first class was there: of one machine, for what they are worth. */
	seconds: number;
	firstSeconds: number;
}

/** The best class that long searches found, by the same evaluator. */
export interface Known {
	hash: string;
	best: number;
}

const read = <T>(url: URL): Record<string, T> => JSON.parse(readFileSync(url, 'utf8'));
const write = (url: URL, all: object) => writeFileSync(url, `${JSON.stringify(all, null, '\t')}\n`);
const PROVEN = new URL('./proven.json', import.meta.url);
const KNOWN = new URL('./known.json', import.meta.url);

export const readProven = () => read<Proven>(PROVEN);
export const writeProven = (all: Record<string, Proven>) => write(PROVEN, all);
export const readKnown = () => read<Known>(KNOWN);
export const writeKnown = (all: Record<string, Known>) => write(KNOWN, all);

/** The amounts that the objective judges by. */
const AMOUNTS = {
	BRIEF_BELOW_SECONDS,
	CALM_UP_TO_INTENSITY,
	COSTS_SPORT_FROM_SECONDS,
	DEEP_FROM_INTENSITY,
	LONG_STRETCH_SECONDS,
	OPENING_ITEMS,
	WARM_AFTER_SECONDS
};

/** Changes with whatever an instance is made of, and with the points that everything costs. */
export function hashOf({ base, setting }: Instance): string {
	const text = JSON.stringify(
		[base, setting.targets, optionsFor(base, {}, setting), points, AMOUNTS],
		(_, value) => (value instanceof Set || value instanceof Map ? [...value] : value)
	);
	return createHash('sha256').update(text).digest('hex').slice(0, 12);
}
