import { findMovement } from '$lib/catalogue';
import { readPlanFile, readSeriesFile, type Read } from '$lib/core/formats';
import { withNewIds } from '$lib/core/series';
import { newId } from './ids';

/** A kind of file that can be brought in: how it is read, and what is sent to keep it. */
export interface OpenableFile {
	name: string;
	label: string;
	/** What becomes of it. */
	becomes: string;
	read: (text: string) => Read<Record<string, unknown>>;
	api: string;
	page: string;
}

export const PLAN_FILE: OpenableFile = {
	name: 'plan',
	label: 'Plan file (JSON)',
	becomes: 'It becomes a new plan of the group that you choose.',
	read(text) {
		const read = readPlanFile(text, findMovement);
		if (!read.ok) return read;
		const { plan, movements } = read.value;
		return { ok: true, value: { taughtOn: null, plan, movements } };
	},
	api: '/api/plans',
	page: '/plan'
};

export const SERIES_FILE: OpenableFile = {
	name: 'series',
	label: 'Series file (JSON)',
	becomes: 'It becomes a new series of the group that you choose, with all of its classes.',
	read(text) {
		const read = readSeriesFile(text, findMovement);
		if (!read.ok) return read;
		const { planned, movements } = read.value;
		return { ok: true, value: { planned: withNewIds(planned, newId), movements } };
	},
	api: '/api/series',
	page: '/series'
};
