export * from './kinds';
export * from './model';
export * from './pace';
