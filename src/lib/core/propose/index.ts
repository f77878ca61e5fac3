export { alternativesFor, type Alternative } from './alternatives';
export { proposeClasses, type ClassRequest } from './classes';
export {
	ANY_LET_GO,
	ANY_WAKE,
	candidatesOf,
	compose,
	shapesFor,
	possibleThemes,
	readThemeLine,
	standingOf,
	storyOf,
	THEMES,
	USUAL_WORK,
	type Composed,
	type Theme,
	type SearchBudget
} from './compose';
export { CHANGES, CHANGE_WORDS, changedClass, type ChangedClass, type ChangeId } from './change';
export { conflictOf } from './conflict';
export { ownShares } from './difference';
export { listed, sentence } from './words';
export { nearest } from './nearest';
export { optionsFor, withAmount, type BlockOption } from './options';
export { seededRandom } from './random';
export { mayStandIn } from './roles';
export * from './types';

export {
	movementSimilarity,
	canLink,
	demandOf,
	GUARDS,
	readingOf,
	TERMS,
	worth,
	worthOf,
	type GuardId,
	type ClassFeatures,
	type ScoredItem,
	type TermId,
	type Worth
} from './model';
