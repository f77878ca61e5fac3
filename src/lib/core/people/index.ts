export * from './account';
export * from './here';
