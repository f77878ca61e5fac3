export * from './registry';
export * from './run';
export * from './types';
export { COSTS_FROM_SECONDS } from './before-sport-static';
export { hungSeconds, MUSCLES_OF_TISSUE, stillSeconds } from './help';
