import { loadPlanSheet } from '$lib/server/plan/plan-sheet';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { sheet, ...plan } = await loadPlanSheet('lived', event);
	const who = event.url.searchParams.get('who');
	return { ...plan, lived: sheet, shown: sheet.find(({ id }) => id === who) ?? sheet[0] ?? null };
};
