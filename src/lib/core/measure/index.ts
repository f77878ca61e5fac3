export * from './tests';
