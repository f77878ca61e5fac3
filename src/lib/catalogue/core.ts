/** What the catalogue needs of the core, in one place. */
export * from '../core/anatomy';
export * from '../core/movement';
