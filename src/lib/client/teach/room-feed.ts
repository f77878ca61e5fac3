import {
	elapse,
	happened,
	LOST_AFTER_MS,
	notBegun,
	nowOf,
	roomNow,
	Steps,
	type RoomClass,
	type RoomNews,
	type RoomNow,
	type SessionEvent,
	type SessionState
} from '$lib/core/teach';
import type { Figure } from '$lib/core/figure';

/** The class as a second device knows it from the server. */
export interface FarRoom {
	/** Null before it is known, and where none goes on. */
	now: RoomNow | null;
	classes: RoomClass[];
	following: string | null;
	/** The teacher's device or the server is not heard. */
	isLost: boolean;
}

/** The numbers of the room are shown so often. */
const SHOW_EVERY_MS = 250;
/** Without news for so long the server counts as away: it tells each second. */
const NO_NEWS_MS = 5000;

/**
 * Follows a class that another device of the studio leads, over the server. Between two news the class goes on by itself,
 * as its clock says. Returns what ends it.
 */
export function followRoom(run: string | null, tell: (room: FarRoom) => void): () => void {
	let steps: Steps | null = null;
	let figures: Record<string, Figure> = {};
	let state: SessionState | null = null;
	let latest: SessionEvent | null = null;
	let last: RoomNews | null = null;
	let heardAt = 0;

	const source = new EventSource(`/api/teach/room${run ? `?run=${run}` : ''}`);
	source.onmessage = ({ data }: MessageEvent<string>) => {
		const news = JSON.parse(data) as RoomNews;
		if (news.script) {
			steps = new Steps(news.script);
			figures = {};
			state = notBegun(news.script);
			latest = null;
		}
		figures = { ...figures, ...news.figures };
		for (const event of news.events) {
			if (steps && state) state = happened(state, steps, latest, event);
			latest = event;
		}
		last = news;
		heardAt = performance.now();
	};
	const timer = setInterval(() => {
		const sinceMs = performance.now() - heardAt;
		const isLost = sinceMs > NO_NEWS_MS || (last?.silentMs ?? 0) > LOST_AFTER_MS;
		tell({
			now: last?.following ? roomAt(last, sinceMs) : null,
			classes: last?.classes ?? [],
			following: last?.following ?? null,
			isLost: last !== null && isLost
		});
	}, SHOW_EVERY_MS);

	function roomAt({ at, aheadMs }: RoomNews, sinceMs: number): RoomNow | null {
		if (!steps || !state || !latest) return null;
		// the present time of the teacher's clock
		const there = at + aheadMs + sinceMs;
		const shown = elapse(state, steps, there - latest.at);
		return shown.mode === 'ready' ? null : roomNow(nowOf(shown, steps), shown.mode, figures);
	}

	return () => {
		clearInterval(timer);
		source.close();
	};
}
