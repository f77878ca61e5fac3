import { dayInZone, dayName } from '$lib/core/calendar';
import { readPlan } from '$lib/core/checks';
import { changesInWords, percentOf, shiftsBetween } from '$lib/core/drawing';
import { comparePlans, itemsOf } from '$lib/core/plan';
import { db } from '$lib/server/db';
import { planSetting, settingOf } from '$lib/server/plan-setting';
import { plansOfGroup } from '$lib/server/plans';
import { found, studioOfRequest } from '$lib/server/scope';
import type { PageServerLoad } from './$types';

/** Two classes of a group side by side: the one at this address, and an earlier or other one (`?with=`). */
export const load: PageServerLoad = async ({ params, locals, url }) => {
	const studio = studioOfRequest(locals);
	const today = dayInZone(new Date(), studio.timeZone);
	const setting = found(await planSetting(db(), studio.id, params.id, today));
	const all = await plansOfGroup(db(), studio.id, setting.groupId);
	const others = all.filter(({ id }) => id !== params.id);
	const named = (plan: (typeof all)[number]) => ({
		id: plan.id,
		title: plan.plan.title || 'Untitled class',
		day: plan.taughtOn ? dayName(plan.taughtOn) : ''
	});
	const { taughtOn } = setting.stored;
	const isEarlier = (other: (typeof all)[number]) =>
		other.taughtOn !== null && taughtOn !== null && other.taughtOn < taughtOn;
	const wanted = url.searchParams.get('with');
	const chosen = wanted
		? found(others.find(({ id }) => id === wanted) ?? null)
		: (others.find(isEarlier) ?? others[0]);
	const now = { ...named(setting.stored), reading: readPlan(setting.stored.plan, settingOf(setting)) };
	const base = {
		id: now.id,
		title: now.title,
		day: now.day,
		group: setting.group.name,
		others: others.map(named)
	};
	if (!chosen) return { ...base, against: null };
	const against = found(await planSetting(db(), studio.id, chosen.id, today));
	const before = readPlan(against.stored.plan, settingOf(against));
	const { came, went, kept, likeness } = comparePlans(against.stored.plan, setting.stored.plan);
	const name = (slug: string) => (setting.shelf.find(slug) ?? against.shelf.find(slug))?.english ?? slug;
	return {
		...base,
		against: {
			...named(chosen),
			likeness: percentOf(likeness),
			came: came.map(name),
			went: went.map(name),
			changed: kept
				.filter(({ changed }) => changed.length > 0)
				.map((both) => ({
					name: name(both.movement),
					fields: changesInWords(both, before, now.reading)
				})),
			same: kept.filter(({ changed }) => changed.length === 0).length,
			items: { before: itemsOf(against.stored.plan).length, after: itemsOf(setting.stored.plan).length },
			...shiftsBetween(before, now.reading)
		}
	};
};
