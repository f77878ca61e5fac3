export { candidatesOf } from './candidates';
export { compose, USUAL_WORK, type Composed, type SearchBudget } from './compose';
export { possibleThemes } from './pools';
export { standingOf, storyOf, type Story } from './story';
export { ANY_RELEASE, ANY_WARM, readThemeLine, shapesFor, THEMES, type Theme } from './themes';
