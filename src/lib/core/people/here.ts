import { counted } from '../text';
import { CAUTIONS, type Caution } from '../movement';

/** How open people are; three tiers are enough. */
export const TIERS = ['tight', 'middling', 'open'] as const;
export type Tier = (typeof TIERS)[number];

/** How many people have a caution: never who. */
export interface CautionCount {
	caution: Caution;
	people: number;
}

/** Who is here, counted at the door: no name is needed. */
export interface Attendance {
	tiers: Record<Tier, number>;
	cautions: CautionCount[];
}

/** More than any room holds. */
export const MOST_PEOPLE = 200;

/** How many people are counted. */
export const sizeOf = ({ tiers }: Pick<Attendance, 'tiers'>): number =>
	TIERS.reduce((sum, tier) => sum + tiers[tier], 0);

/** "4 tight, 0 middling, 2 open". */
export const tierWords = (tiers: Record<Tier, number>): string =>
	TIERS.map((tier) => `${tiers[tier]} ${tier}`).join(', ');

/** "12 people: 4 tight, 6 middling, 2 open; sore knee 2". */
export function hereWords(here: Attendance): string {
	const size = sizeOf(here);
	const tiers = TIERS.filter((tier) => here.tiers[tier] > 0).map((tier) => `${here.tiers[tier]} ${tier}`);
	const cautions = here.cautions.map(({ caution, people }) => `${caution} ${people}`);
	const who = [tiers.join(', '), cautions.join(', ')].filter(Boolean).join('; ');
	return `${counted(size, 'person', 'people')}${who ? `: ${who}` : ''}`;
}

/** The same with another number of people with a caution; 0 takes it away. */
export function withCaution(here: Attendance, caution: Caution, count: number): Attendance {
	const others = here.cautions.filter((c) => c.caution !== caution);
	const cautions = count > 0 ? [...others, { caution, people: count }] : others;
	return {
		...here,
		cautions: CAUTIONS.flatMap((known) => cautions.filter((c) => c.caution === known))
	};
}
