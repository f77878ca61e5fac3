export * from './check-in';
export * from './error';
export * from './inclinometer';
export * from './repeatability';
export * from './scales';
export * from './stops';
export * from './tests';
