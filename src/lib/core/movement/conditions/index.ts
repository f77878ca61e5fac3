export * from './apply';
export { CONDITIONS, conditionOf, RESTS, type Condition, type Provocation } from './table';
export * from './account';
/** What a form of a movement asks of the body: lying, turned, loaded, steadied ... */
export * as formFacts from './given';
