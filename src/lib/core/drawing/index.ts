export * from './before-after';
export * from './ring';
export * from './running-order';
export * from './score';
export * from './proposal-card';
export * from './mini-score';
export * from './series-lines';
export * from './series-view';
