import type { Group } from '../../group';
import type { Purpose } from '../../movement';
import type { Targets } from '../../orbit';
import { SECTION_KINDS } from '../../plan';
import type { TeachingStyle } from '../../style';
import type { Kinds } from '../model';
import type { Weights, Wishes } from '../pool/types';
import type { Draft, DraftItem } from './draft';
import type { Keep } from './kept';
import type { Story } from './story';

/** Everything that a search for one class is given. */
export interface Task {
	group: Group;
	style: TeachingStyle;
	story: Story;
	purposes: ReadonlySet<Purpose>;
	kinds: Kinds;
	/** The most that can be asked of them in the peak. */
	mostDemand: number;
	/** The whole class, and what of it is not words that are put in or stand there. */
	classSeconds: number;
	lengthSeconds: number;
	wishes: Wishes & { weights: Weights };
	/** Movements that the group has met; null where that is unknown. */
	known: ReadonlySet<string> | null;
	keep: Keep;
	targets: Targets;
	/** By the number of a movement: how much this class avoids it, 0 to 1, drawn by lot. */
	avoids: readonly number[];
	/** Movements of other proposals: at most half of a class is shared. */
	others: readonly ReadonlySet<string>[];
}

/** Points, of the same size as those of the model, for what a class asks for besides being one. */
export const WISH_POINTS = {
	/** Per tenth of the class too long or too short. */
	length: 6,
	/** Per tenth of the class by which a part is away from its usual share. */
	share: 1.4,
	/** Per tenth of the class by which the time on the feet is outside its range. */
	standing: 1.2,
	/** For each purpose of the group that is wanted and missing in build and peak. */
	purpose: 1.8,
	/** For each block that no theme has there. */
	stray: 0.35,
	/** For each block of the peak that no theme has there, and for each that asks for too little to be there. */
	strayPeak: 1.2,
	/** For each block that a theme has fewer than {@link LEAST_OF_THEME}. */
	theme: 1.2,
	/** For each two blocks of a theme that stand the other way round. */
	order: 0.3,
	/** For a theme of which nothing comes back further. */
	back: 2,
	/** For a theme that nothing wakes, and one that nothing lets go. */
	frame: 0.5,
	/** For a peak in which the first theme does not come to its end. */
	ownPeak: 2,
	/** For a direction that is left out. */
	leftOut: 2,
	/** For each percent of the direction time by which one is below its band: a class is no ring, weeks are. */
	band: 0.02,
	/** The same for one that the group has had too little of. */
	wantedBand: 2,
	/** For a first thing that changes sides or wants kit, before people have arrived. */
	arriving: 0.7,
	/** For each of two likenesses of the hardest of the peak that do not lead up to it. */
	ledUp: 0.8,
	/** For each wish that is not met. */
	wish: 12,
	/** For the whole way from the wished share of an earlier class. */
	like: 45,
	/** For each whole point (of ten) by which the mean effort is outside what is asked for. */
	effort: 45,
	/** For each movement that comes again in an easier form. */
	goesDown: 2,
	/** For each movement that is a peak again and goes no further, once it has been one twice at that height. */
	still: 3,
	/** For each minute by which one thing alone goes on for longer than {@link LONGEST_SECONDS}. */
	tooLong: 0.8,
	/** For a part that holds nothing though it should. */
	empty: 3,
	/** For each item that a class of its length has fewer than usual. */
	items: 0.4,
	/** For each piece beyond what can be kept in the head. */
	pieces: 0.6,
	/** For each block that stands where the way of the class does not lead. */
	offWay: 1.5,
	/** For each station that is left again after one short thing. */
	thin: 1,
	/** For the whole class by which the hardest thing begins too late. */
	latePeak: 12,
	/** For all items at which somebody does something else, beyond what is usual. */
	besideItems: 10,
	/** For a peak before which nothing stood at its station for minutes. */
	unprepared: 1.5,
	/** For a class in which nothing runs in chains or flows; in part for too little of it. */
	linked: 3,
	/** For each single-leg standing item beyond the first that runs in no chain. */
	alone: 0.6,
	/** For a chain or flow of the same movements again; in part where something of it goes further. */
	sameLink: 1.5,
	/** For each item on one leg beyond what people bear who are unsteady. */
	oneLeg: 1,
	/** For a class without a flow that is to have one. */
	flow: 2,
	/** For a build and a peak of which nothing serves a purpose of the group, as a share. */
	foreign: 6,
	/** For a movement that this class avoids most. */
	avoided: 1,
	/** For each of turning in and out, moving and held, that is missing. */
	turning: 2,
	/** For each minute by which one movement takes more than its part of the class. */
	oneThing: 1.5,
	/** For each tissue that the sport has worked and nothing holds long afterwards. */
	afterSport: 1.5,
	/** For a class of some length without anything in sets. */
	noSets: 0.8,
	/** For each way from the floor to the feet or back beyond {@link FAR_WAYS}. */
	ways: 0.4,
	/** For each strong item that the peak has fewer than two. */
	peakItems: 1,
	/** For a warm-up that does not move in two positions, and half of it for one that warms nothing that comes later. */
	warm: 4,
	/** For each minute of moving that is missing before the first deep shape. */
	cold: 2,
	/** For each time that it goes up again after it went down, or down after up, before the build has begun. */
	upAndDown: 0.7,
	/** For each change between the feet, the hands and knees, the seat and lying within the peak. */
	peakMoves: 1.2,
	/** For an item that the whole group would do otherwise, for their cautions; in part for a part of them. */
	beside: 2,
	/** For strength of the peak that is not in sets. */
	peak: 0.8,
	/** For each point by which the peak asks less than it could, and by which something before or after it asks as much. */
	demand: 0.7,
	/** For each item that a warm-up has too few. */
	wakes: 1,
	/** For each piece of strength of the peak that is over before it works. */
	shortPeak: 1.2,
	/** For a release that works more than it lets go, as a share. */
	release: 2,
	/** For one that ends with work, and for each time that it goes up again. */
	lastWork: 1,
	upAgain: 0.7,
	/** For the same movement twice in a row. */
	again: 1.5,
	/** For the same movement again in one part, or in one theme of the build: a return wants something between. */
	sameSpot: 1.5,
	/** For each visit of a movement beyond two that goes no further. */
	filler: 1.2,
	/** For each chain of a teacher who holds long and runs none, and each missing where a style runs them. */
	style: 0.5
} as const;

/** Indices of the parts of a draft. */
export const WARM = SECTION_KINDS.indexOf('warm');
export const BUILD = SECTION_KINDS.indexOf('build');
export const PEAK = SECTION_KINDS.indexOf('peak');
export const RELEASE = SECTION_KINDS.indexOf('release');
/** Whether an item asks for strength. */
export const isStrongItem = ({ candidate }: DraftItem) => candidate.traits.strong;
/** Returns the items of a section of a draft. */
export const draftItems = (units: Draft[number]): DraftItem[] => units.flatMap(({ parts }) => parts);
