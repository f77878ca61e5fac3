export * from './clock';
export * from './dose';
export * from './items';
export * from './owed';
export * from './peak';
export * from './spans';
export * from './time-text';
export * from './spread';
