export * from './questions';
export * from './schema';
export * from './style';
export * from './teacher-style';
