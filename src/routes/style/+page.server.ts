import { ownMovements } from '$lib/core/pace';
import { db } from '$lib/server/db';
import { ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { silencedChecks } from '$lib/server/studio/silenced-checks';
import { studioCatalogue } from '$lib/server/studio/studio-catalogue';
import { getStyle } from '$lib/server/studio/styles';
import { learnedPace } from '$lib/server/record/teachers-pace';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { teacherId } = ownerOfRequest(locals);
	const stored = await getStyle(db(), teacherId);
	const learned = await learnedPace(db(), teacherId, stored.style.pace);
	const { catalogue } = await studioCatalogue(db(), studioOfRequest(locals).id);
	return {
		stored,
		/** The pace that the teacher's classes show. */
		learned,
		movements: ownMovements({ ...stored.style.pace, ...(learned ? { learned } : {}) }).map((own) => ({
			...own,
			english: catalogue.find(own.slug)?.english ?? own.slug
		})),
		silenced: await silencedChecks(db(), teacherId)
	};
};
