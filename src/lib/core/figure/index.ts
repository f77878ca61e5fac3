export { bestView, drawnForms, figure, joints, VIEWS, type Figure, type Stroke, type View } from './figure';
export type { Skeleton } from './skeleton';
export { arm } from './arms';
export { posture } from './posture';
