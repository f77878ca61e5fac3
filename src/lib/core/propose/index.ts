export { alternativesFor, type Alternative } from './alternatives';
export { isComposed, proposeClasses } from './classes';
export { compose, standingOf, USUAL_WORK, type Composed, type Work } from './compose';
export { conflictOf } from './conflict';
export { Objective } from './cost';
export { crossed, Population } from './cross';
export { ownShares } from './difference';
export { Candidate, type Piece } from './candidate';
export { standardEffort, type Effort } from './effort';
export { factsFor } from './facts';
export { nearest } from './nearest';
export { optionsFor, withAmount, type Option } from './options';
export { Pool } from './pool';
export { keptPieces, proposals, propose, sought, type ProposeRequest } from './propose';
export { seededRandom } from './random';
export { refined, rounded } from './refine';
export { mayStandIn } from './roles';
export { begun, searched, settled, type Solution } from './search';
export * from './types';

// the parts of the search, for its tests and for the bench
export { ConvexProgram } from './convex-program';
export { costsOutside, costsOver, costsUnder, curveUnder, type Curve } from './curve';
export { SUM } from './facts';
export { change, type Means } from './moves';
export * as points from './points';
export { unbalance } from './realise';

export {
	alike,
	canLink,
	demandOf,
	GUARDS,
	readingOf,
	TERMS,
	worth,
	worthOf,
	type GuardId,
	type Reading,
	type Step,
	type TermId,
	type Worth
} from './model';
