export * from './orbit';
export * from './targets';
export * from './tissues';
