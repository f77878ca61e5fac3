export { candidatesOf } from './candidates';
export { compose, USUAL_WORK, type Composed, type SearchBudget } from './compose';
export { LineBook, possibleThemes } from './pools';
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
