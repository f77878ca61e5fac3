export * from './board';
export * from './week';
export * from './room';
