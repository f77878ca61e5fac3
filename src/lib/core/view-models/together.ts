import { DIRECTION_NAME, type Direction } from '../anatomy';
import { togetherWith, type Lately, type Orbit, type Targets } from '../orbit';
import { listed } from '../text';

const names = (directions: readonly Direction[]) =>
	listed(directions.map((direction) => DIRECTION_NAME[direction]));

/** How a class stands on top of the last ones of its group: "With the last 4 classes: too little extension." Null where there were none. */
export function recentBalanceText(orbit: Orbit, lately: Lately, targets: Targets): string | null {
	const found = togetherWith(orbit, lately, targets);
	if (!found) return null;
	const { classes, short, over } = found;
	const said = [
		...(short.length ? [`too little ${names(short)}`] : []),
		...(over.length ? [`too much ${names(over)}`] : [])
	];
	const before = classes === 1 ? 'the last class' : `the last ${classes} classes`;
	return `With ${before}: ${said.join('; ') || 'all six directions within their bands'}.`;
}
