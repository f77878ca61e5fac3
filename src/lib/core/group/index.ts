export * from './presets';
export * from './schema';
export * from './types';
