export * from './choose';
export * from './fit';
