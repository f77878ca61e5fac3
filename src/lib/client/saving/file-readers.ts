import { findMovement } from '$lib/catalogue';
import { readPlanFile, readSeriesFile, writeMovements } from '$lib/core/formats';
import { PLAN } from '$lib/core/plan';
import { notesOf } from '$lib/core/record';
import { seriesAsSent, withNewIds } from '$lib/core/series';
import { faultLines, withVersion, type Fault } from '$lib/core/validation';
import type { FileKind, FileResult } from './file-kinds';
import { newId } from '../page/ids';

const refused = (faults: readonly Fault[]): FileResult => ({ ok: false, lines: faultLines(faults) });

/** Reads each kind of file into what is sent to the server. Loaded when a file is chosen: it holds the whole catalogue. */
export const READERS: Record<FileKind, (text: string) => FileResult> = {
	plan(text) {
		const read = readPlanFile(text, findMovement);
		if (!read.ok) return refused(read.faults);
		const { plan, movements } = read.value;
		return {
			ok: true,
			value: { plannedOn: null, plan: withVersion(PLAN, plan), ...writeMovements(movements) }
		};
	},
	series(text) {
		const read = readSeriesFile(text, findMovement);
		if (!read.ok) return refused(read.faults);
		const { planned, movements } = read.value;
		const fresh = withNewIds(planned, newId);
		return {
			ok: true,
			value: { planned: seriesAsSent(fresh), runs: notesOf(fresh.runs), ...writeMovements(movements) }
		};
	}
};
