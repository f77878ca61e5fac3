export * from './registry';
export * from './run';
export * from './types';
export { stillSeconds } from './help';
