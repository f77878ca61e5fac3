export * from './known';
export * from './run';
export * from './history';
export * from './weeks';
