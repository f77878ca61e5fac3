import type { Tissue } from '../../anatomy';
import type { Position } from '../../movement';
import { SECTION_KINDS, type SectionKind } from '../../plan';
import type { Random } from '../pool/random';
import { workBounds } from '../pool/role-dose';
import type { Station } from '../pool/stations';
import { dosedWithin, isShortEnough, withWork, type Candidate } from './candidates';
import { linesWithin, type LineBook, type ThemeLine } from './line-book';
import type { Theme } from './themes';
import { episodeOf, episodesOf, stationsOf, type Way } from './ways';
import { HELD_SECONDS } from './wish-loss';

/** Candidates for each section of a class, by the themes of a story, and those that suit any theme. */
export interface CandidatePools {
	warm: readonly ThemeLine[];
	/** One list for each episode. */
	build: readonly (readonly ThemeLine[])[];
	peak: readonly ThemeLine[];
	release: readonly ThemeLine[];
	/** By part of the class: everything that may stand there. */
	any: Record<SectionKind, readonly Candidate[]>;
	/** Resets between demanding blocks, by station. */
	resets: ReadonlyMap<Station, readonly Candidate[]>;
}

/** Movements that serve as resets, by position. */
const RESETS: Record<Position, readonly string[]> = {
	standing: ['forward-fold', 'mountain', 'standing-shake-out', 'standing-half-lift'],
	kneeling: ['childs-pose', 'wide-knee-child', 'kneeling-sit'],
	quadruped: ['cat-cow', 'quadruped-hip-circle'],
	seated: ['leg-shake-out', 'seated-knee-wipers', 'straight-leg-wipers', 'seated-shin-lean-back'],
	prone: ['crocodile-rest', 'sphinx'],
	supine: ['knees-to-chest', 'supine-knee-rock', 'full-body-stretch', 'supine-leg-roll'],
	sidelying: [],
	'wall-supine': ['wall-leg-rotation']
};

/** Input of {@link buildPools}. */
export interface PoolRequest {
	themes: readonly Theme[];
	way: Way;
	/** It is to have a flow: any that can be given where the class is will do. */
	flows: boolean;
	classSeconds: number;
	/** Movements that are asked for: they come wherever the way leads. */
	asked: ReadonlySet<string>;
	/**
	 * Movements that the group knows, where few new ones are wanted: all sections but build and peak use them as far as
	 * they reach.
	 */
	known: ReadonlySet<string> | null;
	/** How long the closing rest should be. */
	closingSeconds: number;
	/** Most of these people are tight: their peak need not be the most that can be asked. */
	gentle: boolean;
	/** Tissues that are to be held long: whatever does it stays in. */
	lengthens: readonly Tissue[];
	/** Movements with which it neither opens nor closes nor resets, where there are others. */
	lastTime: ReadonlySet<string>;
	/** Draws what this class does without, so that no two are alike. */
	random: Random;
}

/** Of a list longer than this a class does without some, so that others get their turn. */
const WITHOUT_SOME_FROM = 6;
/** The fewest known lines that an episode needs where few new movements are wanted. */
const LEAST_KNOWN = 5;
/** The part of the chains and flows of a theme that a class keeps, and the fewest of them. */
const LINKS_KEPT = 0.42;
const FEWEST_LINKS = 2;
/** The part of the rest that it keeps. */
const KEPT = 0.45;

/** Collects the candidates that the themes of a story offer these people, along the way of the class. */
export const buildPools = (book: LineBook, request: PoolRequest): CandidatePools =>
	new PoolBuilder(book, request).build();

class PoolBuilder {
	private readonly dosed;
	private readonly episodes: number;

	constructor(
		private readonly book: LineBook,
		private readonly request: PoolRequest
	) {
		this.dosed = dosesFor(request.classSeconds);
		this.episodes = episodesOf(request.themes.length);
	}

	build(): CandidatePools {
		const { themes, closingSeconds } = this.request;
		return {
			warm: this.some(this.metLines([...this.each('warm'), ...this.frame('warm')], 1)),
			build: themes.slice(0, this.episodes).map((theme, t) => this.buildLines(theme, t)),
			peak: this.peakLines(),
			release: this.some(
				this.metLines([...this.each('release'), ...this.lengthening(), ...this.frame('release')], 1)
			),
			any: {
				settle: this.someOf(this.others(this.orAny('settle'))),
				warm: this.metFirst(this.anyAt('warm')),
				build: this.anyAt('build'),
				peak: this.anyAt('peak'),
				release: this.metFirst(this.anyAt('release')),
				rest: this.someOf(this.others(this.orAny('rest'))).map((own) => withWork(own, closingSeconds))
			},
			resets: this.resets()
		};
	}

	private isMet = ({ traits }: Candidate): boolean => this.request.known?.has(traits.movement.slug) ?? true;
	private isAsked = ({ traits }: Candidate): boolean => this.request.asked.has(traits.movement.slug);
	/** Whether it holds long what is to be held long. */
	private isLong = ({ load }: Candidate): boolean =>
		this.request.lengthens.some((tissue) => load.lengthens.has(tissue));

	private metFirst(list: readonly Candidate[]): readonly Candidate[] {
		const met = list.filter(this.isMet);
		return met.length ? met : list;
	}

	/** Leaves out what the group did last time, where something that it knows remains. */
	private others(list: readonly Candidate[]): readonly Candidate[] {
		const others = list.filter((one) => !this.request.lastTime.has(one.traits.movement.slug));
		return others.some(this.isMet) ? others : list;
	}

	/** Returns only the lines that the group knows or that are asked for, where there are enough of them. */
	private metLines(list: readonly ThemeLine[], least: number): readonly ThemeLine[] {
		const met = list.filter(({ parts }) =>
			parts.every((forms) => forms.some((one) => this.isMet(one) || this.isAsked(one)))
		);
		return met.length >= least ? met : list;
	}

	/** Leaves out some of a list by lot, none of what always stays. */
	private drawn<T>(list: readonly T[], stays: (one: T) => boolean): readonly T[] {
		if (list.length <= WITHOUT_SOME_FROM) return list;
		const kept = list.filter((one) => stays(one) || this.request.random() < KEPT);
		return kept.length >= WITHOUT_SOME_FROM ? kept : list;
	}

	private someOf(list: readonly Candidate[]): readonly Candidate[] {
		return this.drawn(this.metFirst(list), this.isAsked);
	}

	private some(list: readonly ThemeLine[]): readonly ThemeLine[] {
		const { flows, known } = this.request;
		return this.drawn(
			list,
			({ parts, flow }) =>
				(flow && flows) ||
				parts.some((forms) => forms.some((one) => this.isAsked(one) || this.isLong(one))) ||
				(known !== null && parts.every((forms) => forms.some(this.isMet)))
		);
	}

	private at(kind: SectionKind, episode = 0): readonly Station[] {
		return stationsOf(this.request.way, kind, episode, this.episodes);
	}

	/** Whether a candidate, with the dose of its role, is not far too long; what is asked for may be. */
	private fits(one: Candidate, kind: SectionKind, linked: boolean): boolean {
		const { classSeconds } = this.request;
		if (kind === 'peak' && !one.mayPeak) return false;
		return this.isAsked(one) || isShortEnough(one, workBounds(one.traits, kind, classSeconds, linked));
	}

	/** The lines that can be given in a part, where the way has it, with the doses of their roles. */
	private here(
		kind: SectionKind,
		lines: readonly ThemeLine[],
		theme: number | null,
		episode = 0
	): ThemeLine[] {
		return linesWithin(lines, this.at(kind, episode)).flatMap((line): ThemeLine[] => {
			const linked = line.parts.length > 1;
			const parts = line.parts.map((forms) =>
				forms.map((one) => this.dosed(one, kind, linked)).filter((one) => this.fits(one, kind, linked))
			);
			return parts.every((forms) => forms.length > 0) ? [{ ...line, theme, parts }] : [];
		});
	}

	private each(kind: 'warm' | 'peak' | 'release'): ThemeLine[] {
		return this.request.themes.flatMap((theme, t) => this.here(kind, this.book.lines(theme, kind), t));
	}

	/** Lines that suit any theme. */
	private frame(kind: 'warm' | 'release'): ThemeLine[] {
		return this.here(kind, this.book.frame(kind), null);
	}

	/** Everything that may stand in a part, where the way has it. */
	private anyAt(kind: SectionKind): readonly Candidate[] {
		const stations = kind === 'build' ? [...this.at(kind, 0), ...this.at(kind, 1)] : this.at(kind);
		return this.book.candidates
			.filter(
				(one) =>
					one.sections.has(kind) &&
					(kind !== 'peak' || one.mayPeak) &&
					(this.isAsked(one) || stations.includes(one.station))
			)
			.map((one) => this.dosed(one, kind))
			.filter((one) => this.fits(one, kind, false));
	}

	/** Where the way has nothing to arrive in or to close with, anything does. */
	private orAny(kind: 'settle' | 'rest'): readonly Candidate[] {
		const list = this.anyAt(kind);
		return list.length ? list : this.book.candidates.filter(({ sections }) => sections.has(kind));
	}

	private buildLines(theme: Theme, t: number): readonly ThemeLine[] {
		const { book, request } = this;
		const from = (list: readonly ThemeLine[]) => this.here('build', list, t, episodeOf(t, this.episodes));
		const lines = this.metLines(from(book.lines(theme, 'build')), request.known ? LEAST_KNOWN : 0);
		const flowing = request.flows && !lines.some(({ flow }) => flow) ? from(book.flows()) : [];
		const named = new Set(lines.map(nameOf));
		return [
			...this.some(this.withoutSomeLinks([...lines, ...flowing], FEWEST_LINKS)),
			...from(book.turns()).filter((line) => !named.has(nameOf(line)))
		];
	}

	/** Leaves out some chains and flows by lot, so that groups do not share them; the fewest always stay. */
	private withoutSomeLinks(list: readonly ThemeLine[], fewest: number): readonly ThemeLine[] {
		const isLinked = ({ parts }: ThemeLine) => parts.length > 1;
		const { flows, known } = this.request;
		const stays = ({ parts, flow }: ThemeLine) =>
			(flow && flows) ||
			parts.some((forms) => forms.some(this.isAsked)) ||
			(known !== null && parts.flat().every(this.isMet));
		const kept = list.filter((line) => !isLinked(line) || stays(line) || this.request.random() < LINKS_KEPT);
		return kept.length > 0 && kept.filter(isLinked).length >= fewest ? kept : list;
	}

	/** The peak of the first theme that has one where the way comes to it. */
	private peakLines(): readonly ThemeLine[] {
		const ofThemes = this.request.themes
			.slice(0, this.episodes)
			.map((theme, t) => this.here('peak', this.book.lines(theme, 'peak'), t));
		const lines = ofThemes.find((own) => own.length > 0) ?? this.each('peak');
		return this.withoutSomeLinks(strongest(lines, this.request.gentle), 0);
	}

	/** Lines of the release for the tissues that are to be held long, each with the dose that does it. */
	private lengthening(): ThemeLine[] {
		return this.request.lengthens.flatMap((tissue) =>
			this.anyAt('release').flatMap((one): ThemeLine[] => {
				const share = one.load.lengthens.get(tissue);
				if (!share) return [];
				const held = withWork(one, (HELD_SECONDS * LONGER) / share);
				return [{ theme: null, rank: 0, parts: [[held]], flow: false, own: false }];
			})
		);
	}

	/** Resets by station, each in the form that needs least kit. */
	private resets(): ReadonlyMap<Station, readonly Candidate[]> {
		const byStation = new Map<Station, Candidate[]>();
		for (const slug of Object.values(RESETS).flat()) {
			const forms = this.book.find({ slug }, ({ traits }) => traits.reset);
			const [one] = [...forms].sort((a, b) => a.traits.kit.length - b.traits.kit.length);
			if (!one) continue;
			const list = byStation.get(one.station);
			if (list) list.push(this.dosed(one, 'build'));
			else byStation.set(one.station, [this.dosed(one, 'build')]);
		}
		return new Map([...byStation].map(([station, list]) => [station, this.metFirst(this.others(list))]));
	}
}

/** A long hold is begun with a little more than it needs: the exact length may shorten it. */
const LONGER = 1.2;

/** A peak may ask this much less than the most that a theme can ask, in points of demand. */
const NEAR_THE_MOST = { usual: 1, gentle: 2 };

/** Lines of the peak that ask nearly as much as any of them can. */
function strongest(lines: readonly ThemeLine[], gentle: boolean): readonly ThemeLine[] {
	const demand = ({ parts }: ThemeLine) =>
		Math.max(...parts.flat().map(({ traits }) => (traits.strong ? traits.demand : 0)));
	const most = Math.max(0, ...lines.map(demand));
	return lines.filter((line) => demand(line) >= most - NEAR_THE_MOST[gentle ? 'gentle' : 'usual']);
}

/** The movements and modes of a line. */
const nameOf = ({ parts }: ThemeLine): string =>
	parts.map(([first]) => `${first!.traits.kind} ${first!.traits.mode}`).join(' ');

/** Returns candidates with the dose of their role in a part; each is worked out once. */
function dosesFor(
	classSeconds: number
): (candidate: Candidate, kind: SectionKind, linked?: boolean) => Candidate {
	const empty = () =>
		new Map<SectionKind, Map<Candidate, Candidate>>(SECTION_KINDS.map((kind) => [kind, new Map()]));
	const [alone, inLinks] = [empty(), empty()];
	return (candidate, kind, linked = false) => {
		const own = (linked ? inLinks : alone).get(kind)!;
		let dosed = own.get(candidate);
		if (!dosed) {
			dosed = dosedWithin(candidate, workBounds(candidate.traits, kind, classSeconds, linked));
			own.set(candidate, dosed);
		}
		return dosed;
	};
}
