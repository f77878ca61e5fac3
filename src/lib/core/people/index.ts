export * from './here';
