export * from './lists';
export * from './plural';
