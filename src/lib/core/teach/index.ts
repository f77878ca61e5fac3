export * from './catch-up';
export * from './events';
export * from './now';
export * from './replay';
export * from './script';
export * from './types';
