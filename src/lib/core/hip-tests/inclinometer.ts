/** One thing that an inclinometer says. */
export interface Tilt {
	/** Milliseconds on its own clock. */
	ms: number;
	/** From where it was zeroed. */
	degrees: number;
	/** Percent; null where it does not say. */
	batteryPercent: number | null;
}

/**
 * Reads a line of the protocol (docs/inclinometer.md): "t=12345 angle=31.4 battery=87". What is not such a line, or is cut
 * off, is left out.
 */
export function readInclinometerLine(line: string): Tilt | null {
	const fields = new Map(
		line
			.trim()
			.split(/\s+/)
			.map((field) => field.split('=') as [string, string])
	);
	const figure = (name: string) => {
		const text = fields.get(name);
		return text !== undefined && /^-?\d+(\.\d+)?$/.test(text) ? Number(text) : null;
	};
	const [ms, degrees] = [figure('t'), figure('angle')];
	if (ms === null || degrees === null || Math.abs(degrees) > 360) return null;
	return { ms, degrees, batteryPercent: figure('battery') };
}

/** Where up is, as the device sees it: a vector of length 1. */
export type Up = readonly [number, number, number];

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/**
 * Up in the device's own axes, from a device orientation event: the third row of the rotation Z(alpha) X(beta) Y(gamma) of
 * the W3C Device Orientation specification (from memory). Alpha, the compass, has no part in it.
 */
export function upOf(betaDegrees: number, gammaDegrees: number): Up {
	const [beta, gamma] = [radians(betaDegrees), radians(gammaDegrees)];
	return [-Math.cos(beta) * Math.sin(gamma), Math.sin(beta), Math.cos(beta) * Math.cos(gamma)];
}

/** Degrees (0-180) by which the device is tilted from where it was zeroed, in whatever direction. */
export function tiltBetween(zero: Up, now: Up): number {
	const cos = zero[0] * now[0] + zero[1] * now[1] + zero[2] * now[2];
	return (Math.acos(Math.max(-1, Math.min(1, cos))) * 180) / Math.PI;
}

/** Held still for so long a reading is taken. */
export const STILL_MS = 1500;
/** A limb is still while its readings stay within this many degrees. */
const STILL_DEGREES = 1.5;
/** With a longer gap something was lost, and the time begins anew. */
const LONGEST_GAP_MS = 400;
const FEWEST_SAMPLES = 8;
/** After a reading the limb must move so far before the next one. */
const MOVED_DEGREES = 5;

/** Takes a reading when the limb is held still. A lost connection begins the time of stillness anew, and takes no reading back. */
export class Stillness {
	private samples: Tilt[] = [];
	private taken: number | null = null;

	/**
	 * One more sample.
	 * @returns a reading, the mean of the still time, once it is long enough
	 */
	add(tilt: Tilt): number | null {
		const last = this.samples.at(-1);
		if (last && (tilt.ms <= last.ms || tilt.ms - last.ms > LONGEST_GAP_MS)) this.samples = [];
		if (this.taken !== null && Math.abs(tilt.degrees - this.taken) < MOVED_DEGREES) return null;
		this.taken = null;
		this.samples.push(tilt);
		// readings out of reach of the newest were movement
		while (Math.abs(this.samples[0]!.degrees - tilt.degrees) > STILL_DEGREES) this.samples.shift();
		const spread = (of: Tilt[]) =>
			Math.max(...of.map(({ degrees }) => degrees)) - Math.min(...of.map(({ degrees }) => degrees));
		while (spread(this.samples) > STILL_DEGREES) this.samples.shift();
		if (this.heldMs < STILL_MS || this.samples.length < FEWEST_SAMPLES) return null;
		const reading = this.samples.reduce((sum, { degrees }) => sum + degrees, 0) / this.samples.length;
		this.taken = reading;
		this.samples = [];
		return reading;
	}

	/** For how long it has been still. */
	get heldMs(): number {
		return this.samples.length ? this.samples.at(-1)!.ms - this.samples[0]!.ms : 0;
	}

	/** The connection was lost. */
	lost(): void {
		this.samples = [];
	}
}
