export * from './known';
export * from './record';
export * from './history';
export * from './weeks';
