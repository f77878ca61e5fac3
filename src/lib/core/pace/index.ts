export * from './pace';
