export * from './check-in';
export * from './error';
export * from './inclinometer';
export * from './results';
export * from './scales';
export * from './steer';
export * from './tests';
