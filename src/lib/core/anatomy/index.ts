export * from './action';
export * from './directions';
export * from './norms';
