export * from './analysis';
export { planContext } from './context';
