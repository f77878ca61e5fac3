export * from './presets';
export * from './schema';
export * from './student';
export * from './types';
export * from './versions';
