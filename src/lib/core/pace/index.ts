export * from './kinds';
export * from './learn';
export * from './model';
export * from './pace';
export * from './taught-time';
export * from './words';
