export * from './apply';
export { CONDITIONS, conditionOf, RESTS, type Condition, type Provocation } from './table';
export * from './account';
