export * from './account';
export * from './here';
export * from './here-schema';
export * from './mention';
