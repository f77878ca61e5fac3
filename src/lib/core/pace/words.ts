import { classLogSd, paceOf, provenances, type PaceModel } from './model';
import { PACE_LIMITS, type PaceFigure } from './pace';

export const FIGURE_NAMES: Record<PaceFigure, string> = {
	heldBreathSeconds: 'A slow held breath',
	movingBreathSeconds: 'A breath joined to a movement',
	roundBreathSeconds: 'A breath of a round',
	countSeconds: 'A spoken count',
	setUpSeconds: 'Getting into a new shape, explained',
	changeSidesSeconds: 'Changing sides',
	changeSidesWithPropSeconds: 'Changing sides with kit',
	moveSeconds: 'Changing body position, usually'
};

/** Seconds to a tenth, or whole ones from ten on: more is not known. */
const rounded = (seconds: number): number =>
	seconds < 10 ? Math.round(seconds * 10) / 10 : Math.round(seconds);

/** A figure of a teacher's pace and where it comes from. */
export interface FigureRow {
	figure: PaceFigure;
	name: string;
	seconds: number;
	usualSeconds: number;
	/** "from 23 of yours; usual 12". */
	from: string;
	isSaid: boolean;
}

/** All figures, each with where it comes from. */
export function figureRows(model: PaceModel): FigureRow[] {
	const of = provenances(model);
	return (Object.keys(PACE_LIMITS) as PaceFigure[]).map((figure) => {
		const { from, seconds, usualSeconds, times } = of[figure];
		const learned = times > 0 ? `from ${times} of yours` : 'with your pace as a whole';
		return {
			figure,
			name: FIGURE_NAMES[figure],
			seconds: rounded(seconds),
			usualSeconds: rounded(usualSeconds),
			isSaid: from === 'said',
			from: {
				said: `said by you; usual ${rounded(usualSeconds)}`,
				learned: `${learned}; usual ${rounded(usualSeconds)}`,
				usual: 'usual'
			}[from]
		};
	});
}

const percent = (share: number): number => Math.round(share * 100);

/** What a teacher's classes of the kind that they usually give show of the pace as a whole; null where nothing was taught. */
export function learnedWords(model: PaceModel): string | null {
	const learned = model.learned?.[paceOf(model).classKind];
	if (!learned) return null;
	const { classes, led, factor } = learned;
	const by = percent(Math.abs(factor - 1));
	const said = by === 0 ? 'as long as usual' : `${by} % ${factor > 1 ? 'longer' : 'shorter'} than usual`;
	const from = classes === 1 ? 'one class' : `${classes} classes`;
	const known =
		led === 0
			? 'of which only the minutes are known'
			: led === classes
				? 'that you led with Teach'
				: `${led} of them led with Teach, of the others only the minutes are known`;
	const half = percent(Math.exp(1.2816 * classLogSd(model)) - 1);
	return `Learned from ${from}, ${known}: yours take ${said}. Beside chance, four of five end within ${half} % of what is planned.`;
}

/** Movements that take clearly longer or shorter with a teacher than their figures say, the most first. */
export function ownMovements(model: PaceModel): { slug: string; percent: number; times: number }[] {
	const learned = model.learned?.[paceOf(model).classKind];
	return Object.entries(learned?.movements ?? {})
		.map(([slug, { ratio, times }]) => ({ slug, percent: percent(ratio - 1), times }))
		.filter(({ percent: by }) => Math.abs(by) >= CLEARLY_PERCENT)
		.sort((a, b) => Math.abs(b.percent) - Math.abs(a.percent))
		.slice(0, MOST_MOVEMENTS);
}
const CLEARLY_PERCENT = 10;
const MOST_MOVEMENTS = 12;
