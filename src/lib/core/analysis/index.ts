export * from './analysis';
export { planContext } from './context';
export * from './lived';
