export * from './board';
export * from './typed-day';
export * from './week';
export * from './room';
