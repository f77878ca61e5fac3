import { findMovement } from '$lib/catalogue';
import { readPlanFile, readSeriesFile, writeMovements } from '$lib/core/formats';
import { PLAN } from '$lib/core/plan';
import { notesOf } from '$lib/core/run';
import { seriesAsSent, withNewIds } from '$lib/core/series';
import { withVersion, type Read } from '$lib/core/validation';
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
		return {
			ok: true,
			value: { plannedOn: null, plan: withVersion(PLAN, plan), ...writeMovements(movements) }
		};
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
		const fresh = withNewIds(planned, newId);
		return {
			ok: true,
			value: { planned: seriesAsSent(fresh), runs: notesOf(fresh.runs), ...writeMovements(movements) }
		};
	},
	api: '/api/series',
	page: '/series'
};
