import { KIT_KINDS, POSITIONS } from '../movement';
import { moveSeconds, type Pace } from '../pace';

/** Body positions with the kit at hand there, numbered as they come. */
export class Places {
	private readonly all: { position: number; kit: number }[] = [];

	get count(): number {
		return this.all.length;
	}

	/** @param position index into POSITIONS @param kit bits of KIT_KINDS */
	at(position: number, kit: number): number {
		const known = this.all.findIndex((place) => place.position === position && place.kit === kit);
		return known >= 0 ? known : this.all.push({ position, kit }) - 1;
	}

	/** Seconds to each place, row by row: from nowhere yet, then from each place. */
	between(pace: Pace): Float64Array {
		const fetchSeconds = (missing: number) =>
			Math.round(
				KIT_KINDS.reduce((sum, kit, k) => sum + (missing & (1 << k) ? pace.fetchSeconds[kit] : 0), 0)
			);
		const rows = [null, ...this.all].map((from) =>
			this.all.map((to) => {
				const going = from
					? Math.round(moveSeconds(pace, POSITIONS[from.position]!, POSITIONS[to.position]!))
					: 0;
				return going + fetchSeconds(to.kit & ~(from?.kit ?? 0));
			})
		);
		return Float64Array.from(rows.flat());
	}
}
