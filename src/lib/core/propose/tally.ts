import { SECTION_KINDS } from '../plan';
import { POINTS } from './points';
import type { CostParts, Weights } from './types';

/** What one look at a class counted: sums in seconds, and points of the objective without the teacher's weights. */
export class Tally {
	/** Changing position and placing kit. */
	lost = 0;
	/** What fetching each kind of kit for the first time takes more. */
	fetching = 0;
	/** Seconds of getting to the pieces of each part, and the parts in which there are any, as bits. */
	readonly getting = new Float64Array(SECTION_KINDS.length);
	filled = 0;
	balance = 0;
	variety = 0;
	shape = 0;
	arc = 0;
	dose = 0;
	rules = 0;

	/** As if nothing had been counted. Field by field, since it is done for every class that is looked at. */
	restart(): void {
		this.lost = this.fetching = 0;
		this.balance = this.variety = this.shape = this.arc = this.dose = this.rules = 0;
	}

	/** What has been counted so far, in one number. @param ways how many times getting from place to place counts */
	points({ balance, flow, variety }: Weights, ways = 1): number {
		return (
			balance * this.balance +
			ways * flow * POINTS.lostSecond * this.lost +
			variety * this.variety +
			this.shape +
			this.arc +
			this.dose +
			this.rules
		);
	}

	parts({ balance, flow, variety }: Weights): CostParts {
		return {
			balance: balance * this.balance,
			flow: flow * POINTS.lostSecond * this.lost,
			variety: variety * this.variety,
			shape: this.shape,
			arc: this.arc,
			dose: this.dose,
			rules: this.rules
		};
	}
}
