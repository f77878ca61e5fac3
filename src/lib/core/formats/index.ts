export * from './blocks-file';
export { groupFileSchema, readGroupFile, writeGroupFile } from './group-file';
export { readMovements, writeMovements } from './movements';
export { planFileSchema, readPlanFile, writePlanFile, type PlanFile } from './plan-file';
export {
	readRecords,
	readSeriesFile,
	seriesFileSchema,
	writeSeriesFile,
	type SeriesFile
} from './series-file';
export * from './history-csv';
export * from './icalendar';
