import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals }) => ({
	teacher: locals.teacher ? { name: locals.teacher.name } : null,
	/** Whose drafts this browser keeps. */
	owner: locals.teacher?.id ?? '',
	studio: locals.studio ? { name: locals.studio.name } : null
});
