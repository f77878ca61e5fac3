import { loadPlanSheet } from '$lib/server/plan/plan-sheet';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = (event) => loadPlanSheet('room', event);
