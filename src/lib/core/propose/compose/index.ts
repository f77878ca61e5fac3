export { compose, USUAL_WORK, type Composed, type Work } from './compose';
export type { Story } from './story';
