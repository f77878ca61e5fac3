export * from './orbit';
export * from './targets';
