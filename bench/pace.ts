// How well the length of a class is told, for simulated teachers, before and after their classes are written down.
import { curve, simulated, TEMPERS } from '../tests/reference/simulated-teachers';

const TEACHERS = 200;
const CLASSES = 21;
const percent = (share: number) => `${Math.round(share * 100)} %`;

/** Prints the curve of {@link TEACHERS} teachers, and how far each temper is held after some classes. */
export function paceCurve(): void {
	for (const minutesOnly of [false, true]) {
		const told = simulated(TEACHERS, CLASSES, 7, minutesOnly);
		console.log(minutesOnly ? 'only the minutes of each class known' : 'classes led step by step');
		console.log('classes known   held by the 80 % range   error   against one who knows the teacher   range');
		for (const { known, held, error, against, halfWidth } of curve(told))
			console.log(
				`${String(known).padStart(13)}   ${percent(held).padStart(22)}   ${percent(error).padStart(5)}   ${against
					.toFixed(2)
					.padStart(32)}   ±${percent(Math.exp(halfWidth) - 1)}`
			);
		for (const temper of TEMPERS) {
			const own = curve(told.filter((one) => one.temper === temper));
			console.log(
				`${temper.padEnd(20)} held after 0, 3, 10, 20: ${[0, 3, 10, 20].map((n) => percent(own[n]!.held)).join(', ')}`
			);
		}
	}
}
