import type { CheckMeta, Severity } from '../../checks';
import type { SeriesAnalysis } from '../analysis';

export type SeriesCheckMeta = Omit<CheckMeta, 'canRepair' | 'neverSilent'>;

/** One report of a check on a series, with its place. */
export interface SeriesReport {
	message: string;
	week?: number;
	classId?: string;
	severity?: Severity;
	data?: Record<string, string | number>;
}

/** One thing that a check found in a series. */
export interface SeriesFinding extends SeriesReport {
	checkId: string;
	severity: Severity;
}

/** One rule over the weeks; it only looks and reports. */
export interface SeriesCheck {
	meta: SeriesCheckMeta;
	check(analysis: SeriesAnalysis): SeriesReport[];
}
