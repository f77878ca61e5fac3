export * from './registry';
export * from './silence';
export * from './types';
