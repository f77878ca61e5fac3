import type { Leg } from '../anatomy';
import { memoizeBy, type Form, type Movement, type Position, type PropSite, type PropUse } from '../movement';
import { arm } from './arms';
import { posture } from './posture';
import type { Skeleton } from './skeleton';
import type { Vec } from './vector';

export const VIEWS = ['side', 'front'] as const;
export type View = (typeof VIEWS)[number];

/** A limb or the trunk as a thick line, in the drawing's units; y downward. */
export interface Stroke {
	part: 'trunk' | 'left leg' | 'right leg' | 'arm' | 'head' | 'kit';
	points: [number, number][];
	width: number;
}

/** A drawing of a movement, ready to be put on a page. */
export interface Figure {
	view: View;
	viewBox: [x: number, y: number, width: number, height: number];
	/** From the farthest to the nearest. */
	strokes: Stroke[];
	/** Floor and wall as lines. */
	room: [number, number][][];
	/** Where L and R stand. */
	feet: { leg: Leg; x: number; y: number }[];
}

/** Units of the drawing per body height. */
const UNITS_PER_BODY = 100;
const WIDTH = { thigh: 7, shin: 5.6, foot: 4.4, arm: 3.6, trunk: 10.5, shoulders: 5, head: 11 };
/** The front view looks down a little, so that what lies on the floor can be read. */
const ELEVATION_DEG = 28;
const LYING: ReadonlySet<Position> = new Set(['supine', 'wall-supine', 'prone']);
const LYING_ELEVATION = (62 * Math.PI) / 180;

type Project = (v: Vec) => { x: number; y: number; depth: number };

function camera(view: View, movement: Movement): Project {
	if (view === 'front' && LYING.has(movement.position)) {
		// a lying body is seen from above, along the mat as people lie in a room
		const [c, s] = [Math.cos(LYING_ELEVATION), Math.sin(LYING_ELEVATION)];
		return ([x, y, z]) => ({
			x: x * UNITS_PER_BODY,
			y: -(y * c - z * s) * UNITS_PER_BODY,
			depth: z * c + y * s
		});
	}
	if (view === 'side') {
		// on the side the back would be what is seen: look from the other side of the room
		const flip = movement.position === 'sidelying' ? -1 : 1;
		const [c, s] = [Math.cos(0.12), Math.sin(0.12)];
		return ([x, y, z]) => ({
			x: flip * x * UNITS_PER_BODY,
			y: -(y * c - flip * z * s) * UNITS_PER_BODY,
			depth: flip * z
		});
	}
	const elevation = (ELEVATION_DEG * Math.PI) / 180;
	const [c, s] = [Math.cos(elevation), Math.sin(elevation)];
	const aside = 0.14;
	return ([x, y, z]) => ({
		x: (-z + aside * x) * UNITS_PER_BODY,
		y: -(y * c - x * s) * UNITS_PER_BODY,
		depth: x * c + y * s
	});
}

/**
 * Draws a movement in a form: soft limbs from the side of the leading leg, and from the front a little above. With
 * the left leg leading it is the mirror image, so from the side the person faces left.
 */
export function figure(movement: Movement, view: View, form?: Form, leads: Leg = 'right'): Figure {
	return drawn(movement, `${view} ${form?.id ?? ''} ${leads}`, () => draw(movement, view, form, leads));
}

/** Solving for a figure is costly: each is worked out once while its movement lives. */
const drawn = memoizeBy<Figure>();

function draw(movement: Movement, view: View, form: Form | undefined, leads: Leg): Figure {
	const { skeleton: s, arms } = posture(movement, form);
	const project = camera(view, movement);
	const mirror = leads === 'left' ? -1 : 1;
	const at = (v: Vec): [number, number] => {
		const p = project(v);
		return [mirror * p.x, p.y];
	};
	const pieces: (Stroke & { depth: number })[] = [];
	const piece = (part: Stroke['part'], joints: Vec[], width: number, nearer = 0) =>
		pieces.push({
			part,
			points: joints.map(at),
			width,
			depth: joints.reduce((sum, j) => sum + project(j).depth, 0) / joints.length + nearer
		});
	const legName = (part: 'lead' | 'trail'): 'left leg' | 'right leg' =>
		(part === 'lead') === (leads === 'right') ? 'right leg' : 'left leg';
	for (const part of ['lead', 'trail'] as const) {
		const l = s[part];
		piece(legName(part), [l.hip, l.knee], WIDTH.thigh);
		piece(legName(part), [l.knee, l.ankle], WIDTH.shin);
		piece(legName(part), [l.ankle, l.toe], WIDTH.foot);
		const a = arm(s, arms, part);
		piece('arm', [a.shoulder, a.elbow, a.hand], WIDTH.arm, 0.02);
	}
	piece('trunk', [s.pelvis, s.waist, s.chest], WIDTH.trunk);
	piece('trunk', [s.shoulders.lead, s.shoulders.trail], WIDTH.shoulders);
	piece('head', [s.head, s.head], WIDTH.head, 0.01);
	for (const prop of form?.props ?? []) pieces.push(...kit(prop, s, project, at, arms));
	pieces.sort((a, b) => a.depth - b.depth);
	const feet = (['lead', 'trail'] as const).map((part) => {
		const [x, y] = at(s[part].toe);
		return { leg: legName(part) === 'left leg' ? ('left' as const) : ('right' as const), x, y };
	});
	const strokes = pieces.map(({ part, points, width }): Stroke => ({
		part,
		points: points.map(([x, y]) => [Math.round(x * 10) / 10, Math.round(y * 10) / 10]),
		width
	}));
	const box = bounds(strokes);
	const hands = (['lead', 'trail'] as const).map((part) => arm(s, arms, part).hand);
	const room = view === 'side' ? floorAndWall(form, s, hands, at, box) : [mat(s, at)];
	return { view, viewBox: box, strokes, room, feet };
}

/** The view that shows a movement best: the one named, or from the front where the legs go wide or turn. */
export function bestView(movement: Movement): View {
	if (movement.pose.view) return movement.pose.view;
	return 'side';
}

function bounds(strokes: Stroke[]): Figure['viewBox'] {
	let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
	for (const { points, width } of strokes)
		for (const [x, y] of points) {
			left = Math.min(left, x - width / 2);
			right = Math.max(right, x + width / 2);
			top = Math.min(top, y - width / 2);
			bottom = Math.max(bottom, y + width / 2);
		}
	const margin = 4;
	const round = (n: number) => Math.round(n * 10) / 10;
	return [
		round(left - margin),
		round(top - margin),
		round(right - left + 2 * margin),
		round(bottom - top + 2 * margin)
	];
}

function floorAndWall(
	form: Form | undefined,
	s: Skeleton,
	hands: readonly Vec[],
	at: (v: Vec) => [number, number],
	[left, top, width]: Figure['viewBox']
): [number, number][][] {
	const floorY = at([0, 0, 0])[1];
	const lines: [number, number][][] = [
		[
			[left, floorY],
			[left + width, floorY]
		]
	];
	const wall = form?.props.find((p) => p.kit === 'wall space');
	if (!wall) return lines;
	// the wall is where the body meets it: at the hands, the feet or the back
	const along = [s.lead.toe, s.trail.toe, s.lead.ankle, s.trail.ankle, s.chest, s.pelvis, ...hands].map(
		(v) => v[0]
	);
	const ahead = Math.max(...along) + 0.02;
	const behind = Math.min(...along) - 0.06;
	const x = wall.site === 'behind' ? behind : ahead;
	if (wall.site !== 'beside')
		lines.push([
			[at([x, 0, 0])[0], top],
			[at([x, 0, 0])[0], floorY]
		]);
	return lines;
}

/** The mat seen from above, so that what lies down does not look as if it stood. */
function mat(s: Skeleton, at: (v: Vec) => [number, number]): [number, number][] {
	const along = [s.head, s.pelvis, s.lead.ankle, s.trail.ankle].map((v) => v[0]);
	const [from, to] = [Math.min(...along) - 0.08, Math.max(...along) + 0.08];
	const corners: Vec[] = [
		[from, 0, -0.18],
		[to, 0, -0.18],
		[to, 0, 0.18],
		[from, 0, 0.18],
		[from, 0, -0.18]
	];
	return corners.map(at);
}

/** Kit where it lies; what is only held in the hand is drawn as a line. */
function kit(
	prop: PropUse,
	s: Skeleton,
	project: Project,
	at: (v: Vec) => [number, number],
	arms: Parameters<typeof arm>[1]
): (Stroke & { depth: number })[] {
	const make = (points: Vec[], width: number) => ({
		part: 'kit' as const,
		points: points.map(at),
		width,
		depth: points.reduce((sum, p) => sum + project(p).depth, 0) / points.length - 0.03
	});
	const hands = (['lead', 'trail'] as const).map((part) => arm(s, arms, part).hand);
	const flat = (v: Vec, height: number, half = 0.035): Stroke & { depth: number } =>
		make(
			[
				[v[0] - half, Math.max(0.02, v[1] - height), v[2]],
				[v[0] + half, Math.max(0.02, v[1] - height), v[2]]
			],
			prop.kit === 'blanket' ? 3 : 5
		);
	const { site } = prop;
	if (prop.kit === 'wall space') return [];
	if (prop.kit === 'strap' || prop.kit === 'belt' || prop.kit === 'elastic band') {
		const foot = site === 'trail foot' ? s.trail.ankle : s.lead.ankle;
		return [make([hands[0] as Vec, foot], 1.4)];
	}
	if (prop.kit === 'chair') return chair(site, s, make);
	switch (site) {
		case 'hands':
			return hands.slice(0, prop.count).map((h) => flat(h, 0.03));
		case 'knees':
			return [flat(s.lead.knee, 0.03), flat(s.trail.knee, 0.03)];
		case 'trail knee':
			return [flat(s.trail.knee, 0.03)];
		case 'lead knee':
			return [flat(s.lead.knee, 0.04)];
		case 'lead foot':
			return [flat(s.lead.ankle, 0.03)];
		case 'trail foot':
			return [flat(s.trail.ankle, 0.03)];
		case 'head':
			return [flat(s.head, 0.06)];
		case 'chest':
			return [flat(s.chest, 0.07, 0.1)];
		default:
			return [flat(s.pelvis, 0.05, 0.05)];
	}
}

function chair<T>(site: PropSite, s: Skeleton, make: (points: Vec[], width: number) => T): T[] {
	const seatHeight = 0.25;
	const sits = site === 'hips' || site === 'behind';
	const x = sits
		? s.pelvis[0] - 0.02
		: site === 'calves'
			? s.lead.ankle[0] - 0.05
			: Math.max(s.lead.ankle[0], s.trail.ankle[0]) + 0.1;
	const height = sits && s.pelvis[1] > seatHeight ? Math.min(s.pelvis[1] - 0.06, seatHeight) : seatHeight;
	return [
		make(
			[
				[x - 0.1, height, 0],
				[x + 0.1, height, 0]
			],
			2
		),
		make(
			[
				[x - 0.09, height, 0],
				[x - 0.1, 0, 0]
			],
			1.6
		),
		make(
			[
				[x + 0.09, height, 0],
				[x + 0.1, 0, 0]
			],
			1.6
		)
	];
}

/** Where the joints of a movement's figure are: body heights, leading leg on the right. */
export function joints(movement: Movement, form?: Form): Skeleton {
	return posture(movement, form).skeleton;
}

/** The forms of a movement in their order, each with the earlier one that is drawn just like it, or null. */
export function drawnForms(movement: Movement): { form: Form; like: Form | null }[] {
	const view = bestView(movement);
	const drawings = movement.forms.map((form) => JSON.stringify(figure(movement, view, form, 'right')));
	return movement.forms.map((form, i) => {
		const first = drawings.indexOf(drawings[i]!);
		return { form, like: first < i ? movement.forms[first]! : null };
	});
}
