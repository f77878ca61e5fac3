export * from './apply';
export type { Condition, Provocation } from './condition';
export { CONDITIONS, conditionOf, RESTS } from './table';
export * from './account';
/** Tells of a form of a movement what it asks of the body: lying, turned, loaded, steadied ... */
export * as formFacts from './given';
