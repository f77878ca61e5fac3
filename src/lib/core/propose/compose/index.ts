export { candidatesOf } from './candidates';
export { compose, USUAL_WORK, type SearchBudget } from './compose';
export type { Composed } from './attempts';
export { LineBook, possibleThemes } from './line-book';
export { ROOM_WAYS, waysFor, type Way } from './ways';
export { standingOf, storyOf, type Story } from './story';
export {
	ANY_RELEASE,
	ANY_TURN,
	ANY_WARM,
	LINES,
	readThemeLine,
	shapesFor,
	THEMES,
	type Theme
} from './themes';
