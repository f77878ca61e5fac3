export * from './apply';
export { CONDITIONS, conditionOf, RESTS, type Condition, type Provocation } from './table';
export * from './account';
/** Tells of a form of a movement what it asks of the body: lying, turned, loaded, steadied ... */
export * as formFacts from './given';
