export * from './questions';
export * from './style';
