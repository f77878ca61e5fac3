export * from './questions';
export * from './style';
export * from './teacher-style';
