export * from './blocks-file';
export * from './envelope';
export * from './group-file';
export * from './json-schema';
export * from './plan-file';
export * from './series-file';
