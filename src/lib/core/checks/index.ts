export * from './registry';
export * from './run';
export * from './types';
export { hungSeconds, MUSCLE_TISSUES, stillSeconds } from './help';
