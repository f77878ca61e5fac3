export * from './results';
export * from './steer';
