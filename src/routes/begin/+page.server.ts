import { dayInZone } from '$lib/core/calendar';
import { PRESETS, preset } from '$lib/core/group';
import { db } from '$lib/server/db';
import { ownerOfRequest, studioOfRequest } from '$lib/server/http/endpoint';
import { studioCatalogue } from '$lib/server/studio/studio-catalogue';
import { getStudioKit } from '$lib/server/studio/studio-kit';
import { getStyle } from '$lib/server/studio/styles';
import { paceOfTeacher } from '$lib/server/record/teachers-pace';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const studio = studioOfRequest(locals);
	const { own, leftOut } = await studioCatalogue(db(), studio.id);
	const { teacherId } = ownerOfRequest(locals);
	const { style } = await getStyle(db(), teacherId);
	return {
		presets: PRESETS.map((id) => ({ id, label: preset(id).label, serves: preset(id).purposes.join(', ') })),
		context: {
			today: dayInZone(new Date(), studio.timeZone),
			kit: await getStudioKit(db(), studio.id),
			pace: await paceOfTeacher(db(), teacherId),
			choices: style.choices,
			own: own.map(({ movement }) => movement),
			leftOut
		}
	};
};
