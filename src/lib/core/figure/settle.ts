import { skeleton, type BodyState, type LegAngles, type Skeleton } from './skeleton';

/** Constraints on the body besides its angles: points to stand on, a seat, no part below the floor. */
export interface Contacts {
	lead: { foot: boolean; knee: boolean };
	trail: { foot: boolean; knee: boolean };
	seat: boolean;
	/** Keep the weight over what stands on the floor. */
	balance: boolean;
	/** How far the lean may give way, degrees; 0 holds it. */
	pitchGives: number;
}

/** How high a joint lies when its part of the body rests on the floor, body heights. */
const REST = { ankle: 0.032, knee: 0.036, seat: 0.058, body: 0.045 };
/** How readily an angle gives way, degrees; the catalogue's angles are estimates. */
const GIVES = { flexion: 11, abduction: 11, turnOut: 20, knee: 12 };
const TIGHT = 0.008;
const ANGLES = ['flexion', 'abduction', 'turnOut', 'knee'] as const;

/**
 * Sets the body down: the state nearest to the wanted angles in which what shall touch the floor does and nothing
 * is below it. Least squares by damped Gauss-Newton; the same input gives the same output.
 */
export function settle(wanted: BodyState, contacts: Contacts): BodyState {
	let x = pack(wanted);
	const residuals = (v: number[]) => residualsOf(unpack(v, wanted), wanted, contacts);
	let r = residuals(x);
	let damping = 1e-2;
	for (let round = 0; round < 40; round++) {
		const step = gaussNewtonStep(x, r, residuals, damping);
		const next = x.map((value, i) => value + (step[i] ?? 0));
		const after = residuals(next);
		if (sumOfSquares(after) < sumOfSquares(r)) {
			const gain = sumOfSquares(r) - sumOfSquares(after);
			x = next;
			r = after;
			damping = Math.max(1e-6, damping / 3);
			if (gain < 1e-6) break;
		} else {
			damping *= 4;
			if (damping > 1e8) break;
		}
	}
	return unpack(x, wanted);
}

const sumOfSquares = (r: number[]) => r.reduce((sum, value) => sum + value * value, 0);

/** Lengths are carried in hundredths, so that they and the degrees are of one size. */
function pack(s: BodyState): number[] {
	return [s.height * 100, s.pitch, ...ANGLES.map((a) => s.lead[a]), ...ANGLES.map((a) => s.trail[a])];
}

function unpack(v: number[], like: BodyState): BodyState {
	const leg = (from: number): LegAngles => ({
		flexion: v[from] as number,
		abduction: v[from + 1] as number,
		turnOut: v[from + 2] as number,
		knee: v[from + 3] as number
	});
	return { ...like, height: (v[0] as number) / 100, pitch: v[1] as number, lead: leg(2), trail: leg(6) };
}

function residualsOf(state: BodyState, wanted: BodyState, contacts: Contacts): number[] {
	const s = skeleton(state);
	const r: number[] = [(state.pitch - wanted.pitch) / Math.max(0.2, contacts.pitchGives)];
	for (const side of ['lead', 'trail'] as const) {
		for (const a of ANGLES) r.push((state[side][a] - wanted[side][a]) / GIVES[a]);
		const { foot, knee } = contacts[side];
		r.push(foot ? (s[side].ankle[1] - REST.ankle) / TIGHT : 0);
		r.push(knee ? (s[side].knee[1] - REST.knee) / TIGHT : 0);
		r.push(
			below(s[side].knee[1], REST.knee),
			below(s[side].ankle[1], REST.ankle),
			below(s[side].toe[1], 0.01)
		);
		// knees and elbows bend one way only
		r.push(Math.max(0, -state[side].knee) / 2);
	}
	r.push(contacts.seat ? (s.pelvis[1] - REST.seat) / TIGHT : below(s.pelvis[1], REST.seat));
	r.push(below(s.chest[1], REST.body), below(s.head[1], REST.body), below(s.waist[1], REST.body));
	r.push(contacts.balance ? offBalance(s, contacts) / 0.05 : 0);
	return r;
}

const below = (y: number, least: number) => Math.max(0, least - y) / TIGHT;

/** How far the trunk's weight is from the middle of what stands on the floor, along the way the person faces. */
function offBalance(s: Skeleton, contacts: Contacts): number {
	const standing: number[] = [];
	for (const side of ['lead', 'trail'] as const) {
		if (contacts[side].foot) standing.push(s[side].ankle[0] + 0.03);
		if (contacts[side].knee) standing.push(s[side].knee[0]);
	}
	if (!standing.length) return 0;
	const weight = 0.35 * s.pelvis[0] + 0.35 * s.waist[0] + 0.3 * s.chest[0];
	const from = Math.min(...standing);
	const to = Math.max(...standing);
	return weight < from ? from - weight : weight > to ? weight - to : 0;
}

function gaussNewtonStep(
	x: number[],
	r: number[],
	residuals: (v: number[]) => number[],
	damping: number
): number[] {
	const n = x.length;
	const h = 1e-3;
	const columns = x.map((value, i) => {
		const moved = [...x];
		moved[i] = value + h;
		return residuals(moved).map((after, k) => (after - (r[k] as number)) / h);
	});
	const matrix = columns.map((a, i) =>
		columns.map((b, j) => {
			let sum = 0;
			for (let k = 0; k < r.length; k++) sum += (a[k] as number) * (b[k] as number);
			return i === j ? sum * (1 + damping) + 1e-9 : sum;
		})
	);
	const right = columns.map((a) => -a.reduce((sum, value, k) => sum + value * (r[k] as number), 0));
	return solve(matrix, right, n);
}

/** Gaussian elimination with row exchange. */
function solve(matrix: number[][], right: number[], n: number): number[] {
	const a = matrix.map((row, i) => [...row, right[i] as number]);
	for (let i = 0; i < n; i++) {
		let best = i;
		for (let k = i + 1; k < n; k++) if (Math.abs(a[k]![i]!) > Math.abs(a[best]![i]!)) best = k;
		[a[i], a[best]] = [a[best]!, a[i]!];
		const pivot = a[i]![i]!;
		if (Math.abs(pivot) < 1e-14) continue;
		for (let k = i + 1; k < n; k++) {
			const factor = a[k]![i]! / pivot;
			for (let j = i; j <= n; j++) a[k]![j]! -= factor * a[i]![j]!;
		}
	}
	const out = new Array<number>(n).fill(0);
	for (let i = n - 1; i >= 0; i--) {
		let sum = a[i]![n]!;
		for (let j = i + 1; j < n; j++) sum -= a[i]![j]! * out[j]!;
		out[i] = Math.abs(a[i]![i]!) < 1e-14 ? 0 : sum / a[i]![i]!;
	}
	return out;
}
