import { CATALOGUE } from '../../catalogue';
import { movementFaults, type Movement } from '../../core/movement';
import type { Fault } from '../../core/validation';
import type { StudioCatalogue } from './studio-catalogue';

/** Slugs of own movements begin so, and can never be those of the catalogue. */
export const OWN_PREFIX = 'own-';

/** A free slug for an own movement, made from its name. */
export function ownSlug(english: string, taken: (slug: string) => boolean): string {
	const base =
		OWN_PREFIX +
		(english
			.normalize('NFKD')
			.replace(/\p{Diacritic}/gu, '')
			.toLowerCase()
			.replace(/[^a-z0-9]+/g, '-')
			.replace(/^-+|-+$/g, '')
			.slice(0, 40) || 'movement');
	if (!taken(base)) return base;
	for (let n = 2; ; n++) if (!taken(`${base}-${n}`)) return `${base}-${n}`;
}

/** Everything wrong with an own movement, by the same rules as the catalogue. */
export function ownFaults(value: unknown, current: StudioCatalogue): Fault[] {
	if (typeof value !== 'object' || value === null || !Array.isArray((value as Movement).forms))
		return [{ path: '', message: 'a movement is an object with forms' }];
	const movement = value as Movement;
	const known = [...CATALOGUE, ...current.own.map((o) => o.movement)].map((m) => m.slug);
	const strip = `${movement.slug}: `;
	return movementFaults([movement], known).map((message) => ({
		path: '',
		message: message.startsWith(strip) ? message.slice(strip.length) : message
	}));
}
