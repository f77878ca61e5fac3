export * from './known';
export * from './run';
