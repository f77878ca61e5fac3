export { compose, USUAL_WORK, type Composed, type Work } from './compose';
export { standingOf, type Story } from './story';
