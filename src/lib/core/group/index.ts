export * from './kit';
export * from './meetings';
export * from './presets';
export * from './schema';
export * from './student';
export * from './today';
export * from './types';
export * from './versions';
