export * from './registry';
export * from './run';
export * from './types';
export { COSTS_FROM_SECONDS } from './before-sport-static';
export { hungSeconds, MUSCLE_TISSUES, stillSeconds } from './help';
