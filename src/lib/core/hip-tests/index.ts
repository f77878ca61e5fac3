export * from './check-in';
export * from './error';
export * from './inclinometer';
export * from './scales';
export * from './tests';
