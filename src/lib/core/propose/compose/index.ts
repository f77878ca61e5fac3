export { candidatesOf } from './candidates';
export { compose, USUAL_WORK, type Composed, type SearchBudget } from './compose';
export { possibleThemes } from './pools';
export { standingOf, storyOf, type Story } from './story';
export { ANY_LET_GO, ANY_WAKE, readThemeLine, shapesFor, THEMES, type Theme } from './themes';
