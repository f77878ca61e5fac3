export * from './registry';
export * from './analysis';
export * from './silence';
export * from './types';
export { hungSeconds, MUSCLE_TISSUES, stillSeconds } from './help';
