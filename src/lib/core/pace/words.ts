import { counted } from '../text';
import { EIGHT_OF_TEN } from './kinds';
import { classLogSd, paceOf, provenances, type PaceModel, type Provenance } from './model';
import type { PaceFigure } from './pace';

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

/** Where each figure comes from: "from 23 of yours; usual 12". */
export function provenanceWords(model: PaceModel): Record<PaceFigure, string> {
	const words = ({ from, times, usualSeconds }: Provenance) => {
		if (from === 'usual') return 'usual';
		const learned = times > 0 ? `from ${times} of yours` : 'with your pace as a whole';
		return `${from === 'said' ? 'said by you' : learned}; usual ${rounded(usualSeconds)}`;
	};
	return Object.fromEntries(
		Object.entries(provenances(model)).map(([figure, of]) => [figure, words(of)])
	) as Record<PaceFigure, string>;
}

const percent = (share: number): number => Math.round(share * 100);

/** Describes the pace that a teacher's classes of their usual kind show as a whole; null where none was taught. */
export function learnedWords(model: PaceModel): string | null {
	const learned = model.learned?.[paceOf(model).classKind];
	if (!learned) return null;
	const { classes, led, factor } = learned;
	const by = percent(Math.abs(factor - 1));
	const said = by === 0 ? 'as long as usual' : `${by} % ${factor > 1 ? 'longer' : 'shorter'} than usual`;
	const from = counted(classes, 'class', 'classes');
	const known =
		led === 0
			? 'of which only the minutes are known'
			: led === classes
				? 'that you led with Teach'
				: `${led} of them led with Teach, of the others only the minutes are known`;
	const half = percent(Math.exp(EIGHT_OF_TEN * classLogSd(model)) - 1);
	return `Learned from ${from}, ${known}: your classes take ${said}. Apart from chance, 80 % end within ${half} % of the planned time.`;
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
