export * from './registry';
export * from './analysis';
export * from './types';
export { hungSeconds, MUSCLE_TISSUES, stillSeconds } from './help';
