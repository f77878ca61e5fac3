import { LEGS } from '../anatomy';
import { KIT_KINDS, POSITIONS } from '../movement';
import { betweenSeconds, type Standing } from '../ordering';
import type { Pace } from '../pace';

/** Body positions with the kit at hand there, numbered as they come. */
export class Places {
	private readonly all: { position: number; kit: number; onTop: number }[] = [];

	get count(): number {
		return this.all.length;
	}

	/** @param position index into POSITIONS @param kit bits of KIT_KINDS @param onTop index into LEGS; -1 for neither */
	at(position: number, kit: number, onTop = -1): number {
		const known = this.all.findIndex(
			(place) => place.position === position && place.kit === kit && place.onTop === onTop
		);
		return known >= 0 ? known : this.all.push({ position, kit, onTop }) - 1;
	}

	/** Seconds to each place, row by row: from nowhere yet, then from each place. */
	between(pace: Pace): Float64Array {
		const standings = this.all.map(({ position, kit, onTop }): Standing => ({
			position: POSITIONS[position]!,
			kit: KIT_KINDS.filter((_, k) => kit & (1 << k)),
			onTop: LEGS[onTop] ?? null
		}));
		const rows = [null, ...standings].map((from) =>
			standings.map((to) => betweenSeconds(from, { blockId: '', enter: to, leave: to }, pace))
		);
		return Float64Array.from(rows.flat());
	}
}
