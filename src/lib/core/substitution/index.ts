export * from './finder';
export * from './kit';
export * from './likeness';
export * from './profile';
export * from './room';
export * from './substitutes';
export * from './suits';
export * from './ways';
