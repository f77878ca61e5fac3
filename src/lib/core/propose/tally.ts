/** What is known of a class after some of its pieces: sums, and where people are. Seconds and points. */
export class Tally {
	readonly direction = new Float64Array(6);
	readonly sections = new Float64Array(6);
	total = 0;
	least = 0;
	most = 0;
	lost = 0;
	work = 0;
	strength = 0;
	/** Effort times seconds. */
	effort = 0;
	warm = 0;
	moved = false;
	heavy = false;
	/** Number of the place with the kit at hand; -1 before the first piece. */
	place = -1;
	/** Intensity of the piece before, the highest so far, the highest in the peak. */
	before = 0;
	highest = 0;
	highestInPeak = 0;
	restedIn = -1;
	/** How many movements there are to compare the next one with. */
	compared = 0;
	fresh = 0;
	named = 0;
	again = 0;
	towardInPeak = false;
	variety = 0;
	rules = 0;
	arc = 0;
	dose = 0;
	shape = 0;
	balance = 0;

	/** As if nothing had been counted. Field by field, since it is done for every class that is looked at. */
	restart(): void {
		this.direction.fill(0);
		this.sections.fill(0);
		this.total = this.least = this.most = this.lost = this.work = this.strength = this.effort = this.warm = 0;
		this.moved = this.heavy = this.towardInPeak = false;
		this.place = this.restedIn = -1;
		this.before = this.highest = this.highestInPeak = 0;
		this.compared = this.fresh = this.named = this.again = 0;
		this.variety = this.rules = this.arc = this.dose = this.shape = this.balance = 0;
	}
}
