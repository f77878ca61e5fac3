export * from './effort';
export * from './foster';
