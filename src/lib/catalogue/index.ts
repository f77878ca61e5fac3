import { movementFaults, withRuledCautions, type FindMovement, type Movement } from './core';
import chair from './data/chair.json';
import kneeling from './data/kneeling.json';
import ninety from './data/ninety.json';
import pigeon from './data/pigeon.json';
import prone from './data/prone.json';
import quadruped from './data/quadruped.json';
import seated from './data/seated.json';
import sidelying from './data/sidelying.json';
import squats from './data/squats.json';
import standingLegs from './data/standing-legs.json';
import standing from './data/standing.json';
import supine from './data/supine.json';
import wallSupine from './data/wall-supine.json';
import warriors from './data/warriors.json';
import { readMovement, type WrittenMovement } from './read';

export { readMovement, type WrittenMovement } from './read';

const written = [
	...supine,
	...wallSupine,
	...sidelying,
	...prone,
	...quadruped,
	...kneeling,
	...pigeon,
	...seated,
	...ninety,
	...chair,
	...standing,
	...standingLegs,
	...squats,
	...warriors
] as unknown as WrittenMovement[];

/** Every movement that comes with Humble Orbit, by slug. */
export const CATALOGUE: readonly Movement[] = written
	.map((entry) => withRuledCautions(readMovement(entry)))
	.sort((a, b) => (a.slug < b.slug ? -1 : 1));

const bySlug = new Map(CATALOGUE.map((movement) => [movement.slug, movement]));

export const findMovement: FindMovement = (slug) => bySlug.get(slug);

/** @throws Error that names each faulty movement and field; called by the build and by the server at its start */
export function assertCatalogue(movements: readonly Movement[] = CATALOGUE): void {
	const faults = movementFaults(movements);
	if (faults.length) throw new Error(`the movement catalogue has faults:\n  ${faults.join('\n  ')}`);
}
