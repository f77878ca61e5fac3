import type { SectionKind } from '../../plan';
import type { Random } from '../pool/random';
import { secondsOfUnit, type Unit } from './draft';
import { asUnit, pick, unitOf, unitsAt, withUnits, type Place } from './places';
import type { ThemeLine } from './line-book';
import type { CandidatePools } from './pools';
import { episodeOf } from './ways';
import { singleItemUnit, type Scheme } from './scheme';
import { sharesOf } from './story';
import { mustOf } from '../pool/types';
import type { Task } from './task';

/** A rough class: of each theme what is near the beginning, the middle and the end of its list. */
export function constructInitial(task: Task, pools: CandidatePools, random: Random): Scheme {
	const shares = sharesOf(task.group, task.style, task.classSeconds);
	const filled = (lines: readonly ThemeLine[], share: number, kind: Place['kind']): Unit[] => {
		const chosen: { line: ThemeLine; unit: Unit }[] = [];
		let seconds = 0;
		const left = [...lines];
		while (left.length && seconds < 0.85 * share * task.lengthSeconds) {
			const [line] = left.splice(random.below(left.length), 1);
			const unit = unitOf(line!, kind, random);
			chosen.push({ line: line!, unit });
			seconds += secondsOfUnit(unit);
		}
		return chosen.sort((a, b) => a.line.rank - b.line.rank).map(({ unit }) => unit);
	};
	const each = shares[2]! / pools.build.length;
	const { units, closed } = task.keep;
	/** Returns the blocks already in a section, followed by the new ones. */
	const into = (kind: SectionKind, more: () => readonly Unit[]): readonly Unit[] =>
		closed.has(kind) ? units[kind] : [...units[kind], ...more()];
	const one = (kind: 'settle' | 'rest') =>
		into(kind, () => {
			const candidate = units[kind].length ? undefined : pick(pools.any[kind], random);
			return candidate ? [singleItemUnit(candidate)] : [];
		});
	const own = (lines: readonly ThemeLine[]) => {
		const themed = lines.filter(({ theme }) => theme !== null);
		return themed.length ? themed : lines;
	};
	const rough: Scheme = {
		settle: one('settle'),
		warm: into('warm', () => filled(own(pools.warm), shares[1]!, 'warm')),
		episodes: pools.build.map((_, e) => {
			const theme = episodeOf(e, pools.build.length);
			const lines = pools.build[theme]!;
			const kept = units.build.filter((unit) => unit.theme === theme);
			return { theme, units: closed.has('build') ? kept : [...kept, ...filled(lines, each, 'build')] };
		}),
		peak: into('peak', () => filled(pools.peak, shares[3]!, 'peak')),
		release: into('release', () => filled(own(pools.release), shares[4]!, 'release')),
		rest: one('rest')
	};
	return withWanted(rough, task, pools, random);
}

/** A rough class with everything that must be in it, each where it may stand. */
function withWanted(scheme: Scheme, task: Task, pools: CandidatePools, random: Random): Scheme {
	const { toward } = task.wishes;
	const { closed } = task.keep;
	let now = scheme;
	for (const slug of mustOf(task.wishes)) {
		const places: Place[] = [
			...(slug === toward ? [] : scheme.episodes.map((_, at): Place => ({ kind: 'build', at }))),
			{ kind: 'peak' },
			{ kind: 'warm' },
			{ kind: 'release' }
		];
		for (const place of places.filter(({ kind }) => !closed.has(kind))) {
			const candidate = pick(
				pools.any[place.kind].filter(({ traits }) => traits.movement.slug === slug),
				random
			);
			if (!candidate) continue;
			now = withUnits(now, place, [...unitsAt(now, place), asUnit(candidate, place, now)]);
			break;
		}
	}
	return now;
}
