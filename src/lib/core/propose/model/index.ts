export { movementSimilarity, canLink } from './similarity';
export { GUARDS, TERMS, type GuardId, type TermId } from './amounts';
export type { ClassFeatures, ScoredItem } from './features';
export { demandOf, Kinds, MODE_RANK, traitsOf, type Traits } from './traits';
export { readingOf, worth, worthOf, type Worth } from './worth';
