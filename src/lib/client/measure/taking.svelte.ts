import { LEGS, type Leg } from '$lib/core/anatomy';
import { HIP_TESTS, MOST_READINGS, STILL_MS, Stillness, type Sides, type TestId } from '$lib/core/hip-tests';
import type { TiltSource } from './sources';

/** Takes readings of both legs from an instrument, one leg after the other, each when the limb is held still. */
export class Taking {
	readings = $state<Sides<number[]>>({ left: [], right: [] });
	/** The leg that is measured now; null before it begins and when both are done. */
	leg = $state<Leg | null>(null);
	degrees = $state<number | null>(null);
	/** 0-1: how much of the time of stillness is over. */
	still = $state(0);
	isLost = $state(false);
	batteryPercent = $state<number | null>(null);
	/** Why the instrument is not possible. */
	problem = $state('');
	private stop = () => {};
	/** A test without sides is read once, as left. */
	private readonly legs: readonly Leg[];

	constructor(
		private readonly test: TestId,
		private readonly source: TiltSource
	) {
		this.legs = HIP_TESTS[test].sided ? LEGS : ['left'];
	}

	/** Begins with a leg, or goes on to the other one. */
	begin(leg: Leg): void {
		this.stop();
		this.leg = leg;
		this.degrees = null;
		this.isLost = false;
		const stillness = new Stillness();
		this.stop = this.source(
			{ test: this.test, leg },
			{
				tilt: (tilt) => {
					this.isLost = false;
					this.degrees = Math.abs(tilt.degrees);
					this.batteryPercent = tilt.batteryPercent;
					const reading = stillness.add({ ...tilt, degrees: Math.abs(tilt.degrees) });
					this.still = Math.min(1, stillness.heldMs / STILL_MS);
					// at rest, before it moves, it is still too
					if (reading !== null && reading >= LEAST_DEGREES) this.took(leg, reading);
				},
				lost: () => {
					stillness.lost();
					this.isLost = true;
					this.still = 0;
				},
				none: (why) => {
					this.problem = why;
					this.end();
				}
			}
		);
	}

	/** The leg that has not all of its readings; undefined where both have. */
	get nextLeg(): Leg | undefined {
		return this.legs.find((leg) => this.readings[leg].length < MOST_READINGS);
	}

	private took(leg: Leg, degrees: number): void {
		const rounded = Math.round(degrees * 10) / 10;
		this.readings = { ...this.readings, [leg]: [...this.readings[leg], rounded] };
		if (this.readings[leg].length < MOST_READINGS) return;
		const other = this.nextLeg;
		if (other) this.begin(other);
		else this.end();
	}

	/** A reading that went wrong is taken out. */
	drop(leg: Leg, index: number): void {
		this.readings = { ...this.readings, [leg]: this.readings[leg].filter((_, i) => i !== index) };
	}

	/** Typed by hand. */
	type(leg: Leg, value: number): void {
		if (this.readings[leg].length < MOST_READINGS)
			this.readings = { ...this.readings, [leg]: [...this.readings[leg], value] };
	}

	end(): void {
		this.stop();
		this.stop = () => {};
		this.leg = null;
		this.still = 0;
	}
}

/** A limb below this angle is at rest. */
const LEAST_DEGREES = 5;
