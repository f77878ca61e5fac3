export { betweenSeconds, stopOf, type Here, type Standing, type Stop } from './cost';
export { exactOrders, type Entry } from './exact';
export { improvedOrder } from './improve';
export { calmOrder, EXACT_BLOCKS, lostSeconds, type Calmed } from './reorder';
export { rulesOf, type Rules } from './rules';
