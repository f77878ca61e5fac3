/** Re-exports the parts of the core that the catalogue needs. */
export * from '../core/anatomy';
export * from '../core/movement';
