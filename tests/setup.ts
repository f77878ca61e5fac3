import fc from 'fast-check';

/**
 * Property tests draw the same cases at each run, so that a red run is about the change. `PROPERTY_SEED=random` draws
 * others (the attacks do), and the seed that a failure prints can be given here to see it again.
 */
const given = process.env.PROPERTY_SEED ?? '20261128';
if (given !== 'random') fc.configureGlobal({ seed: Number(given) });
