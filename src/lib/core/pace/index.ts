export * from './model';
export * from './pace';
