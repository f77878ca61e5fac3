export { betweenSeconds, stopOf, type ComingFrom, type BodyPlacement, type Stop } from './cost';
export { exactOrders, type PartialOrder } from './exact';
export { improvedOrder } from './improve';
export { calmOrder, EXACT_BLOCKS, lostSeconds, type Calmed } from './reorder';
export { rulesOf, type Rules } from './rules';
