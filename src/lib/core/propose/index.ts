export { alternativesFor, type Alternative } from './choose/alternatives';
export { proposeClasses, type ClassRequest } from './choose/classes';
export {
	ANY_RELEASE,
	ANY_TURN,
	ANY_WARM,
	candidatesOf,
	compose,
	LineBook,
	LINES,
	shapesFor,
	possibleThemes,
	readThemeLine,
	standingOf,
	storyOf,
	THEMES,
	USUAL_WORK,
	ROOM_WAYS,
	waysFor,
	type Composed,
	type Theme,
	type Way,
	type SearchBudget
} from './compose';
export { CHANGES, CHANGE_WORDS, changedClass, type ChangedClass, type ChangeId } from './choose/change';
export { conflictOf } from './choose/conflict';
export { ownShares } from './choose/difference';
export { nearest } from './pool/nearest';
export { optionsFor, withAmount, type BlockOption } from './pool/options';
export { seededRandom } from './pool/random';
export { onTime } from './pool/keeping';
export { mayStandIn } from './pool/roles';
export * from './pool/types';

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
