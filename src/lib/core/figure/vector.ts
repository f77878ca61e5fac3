/**
 * Just enough geometry for a body of sticks. The room: x to where the person faces when standing, y up, z to the
 * person's right; lengths in body heights, angles in degrees.
 */
export type Vec = readonly [x: number, y: number, z: number];
/** Three columns: where the x, y and z axes go. */
export type Mat = readonly [Vec, Vec, Vec];

/** Returns the sum of two vectors. */
export const add = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
/** Returns the first vector minus the second. */
export const subtract = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
/** Returns a vector times a number. */
export const scale = (a: Vec, by: number): Vec => [a[0] * by, a[1] * by, a[2] * by];
/** Returns the scalar product. */
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** Returns the length of a vector. */
export const length = (a: Vec): number => Math.hypot(a[0], a[1], a[2]);
/** Returns the vector product. */
export const cross = (a: Vec, b: Vec): Vec => [
	a[1] * b[2] - a[2] * b[1],
	a[2] * b[0] - a[0] * b[2],
	a[0] * b[1] - a[1] * b[0]
];
/** Returns a vector of length 1 in the same direction. */
export function unit(a: Vec): Vec {
	const l = length(a);
	return l < 1e-9 ? [0, 1, 0] : scale(a, 1 / l);
}

/** Returns a vector turned by a matrix. */
export const apply = (m: Mat, v: Vec): Vec =>
	add(add(scale(m[0], v[0]), scale(m[1], v[1])), scale(m[2], v[2]));
/** Returns the product of two matrices: the second turn, then the first. */
export const times = (a: Mat, b: Mat): Mat => [apply(a, b[0]), apply(a, b[1]), apply(a, b[2])];

const rad = (deg: number) => (deg * Math.PI) / 180;

/** Returns the turn about the x axis, degrees. */
export function aboutX(deg: number): Mat {
	const [c, s] = [Math.cos(rad(deg)), Math.sin(rad(deg))];
	return [
		[1, 0, 0],
		[0, c, s],
		[0, -s, c]
	];
}
/** Returns the turn about the y axis, degrees. */
export function aboutY(deg: number): Mat {
	const [c, s] = [Math.cos(rad(deg)), Math.sin(rad(deg))];
	return [
		[c, 0, -s],
		[0, 1, 0],
		[s, 0, c]
	];
}
/** Returns the turn about the z axis, degrees. */
export function aboutZ(deg: number): Mat {
	const [c, s] = [Math.cos(rad(deg)), Math.sin(rad(deg))];
	return [
		[c, s, 0],
		[-s, c, 0],
		[0, 0, 1]
	];
}
