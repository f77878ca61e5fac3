import { PLAN, planFaults, type ClassPlan } from '$lib/core/plan';
import { GROUP, groupFaults, kitFaults, type Group, type Kit } from '$lib/core/group';
import { MOVEMENT, movementFaults, type FindMovement, type Movement } from '$lib/core/movement';
import { seriesAsSent, seriesBroughtUp, seriesFaults, type SeriesDocument } from '$lib/core/series';
import { TEACHER_STYLE, teacherStyleFaults, type TeacherStyle } from '$lib/core/style';
import { readWith, withVersion, type Read } from '$lib/core/validation';

/** How a document is sent and kept in this browser, and how what was kept is read again. */
export interface DocumentForm<T> {
	/** With the version of its shape. */
	asSent: (document: T) => unknown;
	/** Brought up to today's shape and validated. */
	read: (kept: unknown) => Read<T>;
}

export const planForm = (find: FindMovement): DocumentForm<ClassPlan> => ({
	asSent: (plan) => withVersion(PLAN, plan),
	read: (kept) => readWith(PLAN, kept, (value) => planFaults(value, find))
});

export const styleForm: DocumentForm<TeacherStyle> = {
	asSent: (style) => withVersion(TEACHER_STYLE, style),
	read: (kept) => readWith(TEACHER_STYLE, kept, teacherStyleFaults)
};

export const seriesForm = (find: FindMovement): DocumentForm<SeriesDocument> => ({
	asSent: seriesAsSent,
	read(kept) {
		const up = seriesBroughtUp(kept);
		if (!up.ok) return up;
		const faults = seriesFaults(up.value, () => find);
		return faults.length ? { ok: false, faults } : { ok: true, value: up.value as SeriesDocument };
	}
});

export const kitForm: DocumentForm<Kit> = {
	asSent: (kit) => kit,
	read(kept) {
		const faults = kitFaults(kept);
		return faults.length ? { ok: false, faults } : { ok: true, value: kept as Kit };
	}
};

export const groupForm: DocumentForm<Group> = {
	asSent: (group) => withVersion(GROUP, group),
	read: (kept) => readWith(GROUP, kept, groupFaults)
};

/** `known`: slugs that a movement may name. */
export const movementForm = (known: () => readonly string[]): DocumentForm<Movement> => ({
	asSent: (movement) => withVersion(MOVEMENT, movement),
	read: (kept) =>
		readWith(MOVEMENT, kept, (value) =>
			movementFaults([value as Movement], known()).map((message) => ({ path: '', message }))
		)
});
