import type { Draft } from './draft';
import { episodesOf } from './ways';
import { WISH_POINTS, BUILD, PEAK, RELEASE, WARM, type Task } from './task';

/** Blocks of the build per theme, in a class of 45 minutes. */
const LEAST_OF_THEME = 3;
/** An item this much less demanding than the group can do is no peak. */
const PEAK_BELOW = 1.5;

/** Whether the class is about its themes: each woken, built up in its order, come back to further, and let go. */
export function storyLoss(draft: Draft, { story, classSeconds, mostDemand }: Task): number {
	const least = classSeconds >= 2400 ? LEAST_OF_THEME : 2;
	const built = episodesOf(story.themes.length);
	const count = story.themes.map(() => 0);
	const lastRank = story.themes.map(() => -1);
	const [woken, released] = [new Set<number>(), new Set<number>()];
	let loss = 0;
	for (const unit of draft[WARM]!) if (unit.theme !== null) woken.add(unit.theme);
	for (const unit of draft[RELEASE]!) if (unit.theme !== null) released.add(unit.theme);
	for (const { theme, rank, parts, kept } of draft[BUILD]!) {
		if (theme === null || rank === null) {
			if (!kept && !parts[0]!.candidate.traits.reset) loss += WISH_POINTS.stray;
			continue;
		}
		count[theme]! += 1;
		if (rank < lastRank[theme]!) loss += WISH_POINTS.order;
		lastRank[theme] = Math.max(rank, lastRank[theme]!);
	}
	for (const { theme, rank, parts, kept } of draft[PEAK]!) {
		if (kept || parts.every(({ candidate }) => candidate.traits.reset)) continue;
		const most = Math.max(...parts.map(({ candidate }) => candidate.traits.demand));
		loss +=
			WISH_POINTS.strayPeak *
			(Number(theme === null || rank === null) + Number(most < mostDemand - PEAK_BELOW));
	}
	for (const t of story.themes.keys()) {
		if (!released.has(t)) loss += WISH_POINTS.frame;
		if (t >= built) continue;
		loss += WISH_POINTS.theme * Math.max(0, least - count[t]!);
		if (!woken.has(t)) loss += WISH_POINTS.frame;
		if (!returnLoss(draft, t)) loss += WISH_POINTS.back;
	}
	const own = draft[PEAK]!.some(
		({ theme, parts }) => theme === 0 && parts.some(({ candidate }) => candidate.traits.strong)
	);
	return loss + (own ? 0 : WISH_POINTS.ownPeak);
}

/** Whether something of a theme is met again, harder or held where it moved. */
function returnLoss(draft: Draft, theme: number): boolean {
	const met = new Map<number, { demand: number; rank: number }>();
	for (const unit of [...draft[WARM]!, ...draft[BUILD]!, ...draft[PEAK]!, ...draft[RELEASE]!])
		for (const { candidate } of unit.parts) {
			const { kind, demand, rank, reset } = candidate.traits;
			if (reset) continue;
			const before = met.get(kind);
			if (before && unit.theme === theme && (demand > before.demand || rank > before.rank)) return true;
			if (!before) met.set(kind, { demand, rank });
		}
	return false;
}
