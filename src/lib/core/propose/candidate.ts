import { EFFORT_BETWEEN } from '../training-load';
import { PLAN_LIMITS, SECTION_KINDS } from '../plan';
import { SUM, type Facts } from './facts';
import type { Option } from './options';

/** One block of a class that is being searched for: what, how much, and in which part. */
export interface Piece {
	option: Option;
	/** Index into the amounts of the option. */
	amount: number;
	/** Index into SECTION_KINDS; pieces stand in rising order of it. */
	section: number;
}

const REST = SECTION_KINDS.indexOf('rest');

/**
 * The pieces of a class as numbers, changed in place, with all sums that do not depend on their order kept up to date: a
 * search looks at hundreds of thousands of classes a second.
 */
export class Candidate {
	count = 0;
	/** Index of each piece's option, of its dose among the option's own, and of its part. Written by the methods only. */
	readonly option = new Int32Array(PLAN_LIMITS.blocks);
	readonly amount = new Int32Array(PLAN_LIMITS.blocks);
	readonly section = new Int32Array(PLAN_LIMITS.blocks);
	/** The columns of SUM. */
	readonly sums: Float64Array;
	/** Seconds of each part without getting from place to place. */
	readonly parts = new Float64Array(SECTION_KINDS.length);

	/** @param summed whether sums are kept up to date; they stay 0 where doses are still to be found */
	constructor(
		private readonly facts: Facts,
		pieces: readonly Piece[] = [],
		readonly summed = true
	) {
		this.sums = new Float64Array(facts.columns);
		this.write(pieces);
	}

	write(pieces: readonly Piece[]): void {
		this.count = pieces.length;
		for (let i = 0; i < pieces.length; i++) {
			const { option, amount, section } = pieces[i]!;
			this.set(i, option.index, amount, section);
		}
		this.sum();
	}

	pieces(): Piece[] {
		const { options } = this.facts;
		return Array.from({ length: this.count }, (_, i) => ({
			option: options[this.option[i]!]!,
			amount: this.amount[i]!,
			section: this.section[i]!
		}));
	}

	copy({ count, option, amount, section, sums, parts }: Candidate): void {
		this.count = count;
		for (let i = 0; i < count; i++) {
			this.option[i] = option[i]!;
			this.amount[i] = amount[i]!;
			this.section[i] = section[i]!;
		}
		if (!this.summed) return;
		for (let c = 0; c < sums.length; c++) this.sums[c] = sums[c]!;
		for (let s = 0; s < parts.length; s++) this.parts[s] = parts[s]!;
	}

	/** Sums all pieces anew: what is added and taken away a million times leaves a rest of rounding. */
	sum(): void {
		this.sums.fill(0);
		this.parts.fill(0);
		for (let i = 0; i < this.count; i++) this.add(i, 1);
	}

	put(at: number, option: number, amount: number, section: number): void {
		this.add(at, -1);
		this.set(at, option, amount, section);
		this.add(at, 1);
	}

	/** Another dose for a piece. */
	dose(at: number, amount: number): void {
		this.put(at, this.option[at]!, amount, this.section[at]!);
	}

	insert(at: number, option: number, amount: number, section: number): void {
		for (let i = this.count; i > at; i--)
			this.set(i, this.option[i - 1]!, this.amount[i - 1]!, this.section[i - 1]!);
		this.count += 1;
		this.set(at, option, amount, section);
		this.add(at, 1);
	}

	remove(at: number): void {
		this.add(at, -1);
		this.count -= 1;
		for (let i = at; i < this.count; i++)
			this.set(i, this.option[i + 1]!, this.amount[i + 1]!, this.section[i + 1]!);
	}

	/** Where a part begins; where it would, when there is nothing in it. The part after the last one begins at the end. */
	start(section: number): number {
		let at = 0;
		while (at < this.count && this.section[at]! < section) at += 1;
		return at;
	}

	/** Whether there is room for one more. */
	get roomy(): boolean {
		return this.count < PLAN_LIMITS.blocks;
	}

	private set(at: number, option: number, amount: number, section: number): void {
		this.option[at] = option;
		this.amount[at] = amount;
		this.section[at] = section;
	}

	/** Adds what a piece gives to the sums (`times` 1), or takes it away (-1). */
	private add(at: number, times: number): void {
		if (!this.summed) return;
		const { facts, sums } = this;
		const option = this.option[at]!;
		const section = this.section[at]!;
		const dose = facts.firstDose[option]! + this.amount[at]!;
		const around = times * facts.aroundSeconds[option]!;
		const work = times * facts.workSeconds[dose]!;
		sums[SUM.total]! += around + work;
		sums[SUM.least]! += around + times * facts.leastSeconds[option]!;
		sums[SUM.most]! += around + times * facts.mostSeconds[option]!;
		sums[SUM.dosePoints]! += times * facts.dosePoints[dose]!;
		if (section < REST) sums[SUM.idlePoints]! += times * facts.idlePoints[dose]!;
		sums[SUM.effort]! += EFFORT_BETWEEN * around;
		for (let g = facts.firstGain[option]!; g < facts.firstGain[option + 1]!; g++)
			sums[facts.gainColumn[g]!]! += facts.gainPerSecond[g]! * work;
		this.parts[section]! += around + work;
	}
}
