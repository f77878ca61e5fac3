import type { Option } from '../../src/lib/core/propose';

/** An option in a part of the class: whether it is given (0 or 1) and its seconds of work. */
export interface Way {
	option: Option;
	section: number;
	/** Number of the class of places that it belongs to. */
	place: number;
	given: number;
	seconds: number;
}

/** All ways of one part that begin and end in one body position with the same kit: no time is lost between them. */
export interface Place {
	section: number;
	position: number;
	kit: number;
	visited: number;
	ways: Way[];
}
