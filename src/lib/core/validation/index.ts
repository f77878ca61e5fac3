export * from './document';
export { fieldError, formErrors } from './form';
export { faultLines } from './fault-lines';
export { hasMoreParts, inside, schemaFaults, type Fault } from './faults';
export { asOneLine, LINE_PATTERN, LINES_PATTERN, oneLine, textOfLines, timeOfDay } from './lines';
export { eachOnce, isPropertyOfAll } from './once';
export { means } from './meta';
export { wholeNumber } from './numbers';
