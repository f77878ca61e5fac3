export { CHANGES, CHANGE_WORDS, changedClass, type ChangedClass, type ChangeId } from './change';
