import { createHash } from 'node:crypto';
import { and, eq, inArray, or } from 'drizzle-orm';
import { CATALOGUE } from '../../catalogue';
import {
	movementDifference,
	catalogueView,
	type Movement,
	type CatalogueView,
	type OutdatedMovement,
	withRuledCautions
} from '../../core/movement';
import { itemsOf, type ClassPlan } from '../../core/plan';
import type { Movements } from '../compute/tasks';
import type { Db } from '../db/open';
import { leftOut, movementState, ownMovement } from '../db/schema';
import { clearRows, updateFrom } from '../db/versioned';
import { contentHash } from './content-hash';
import { holdQuota } from '../http/quotas';
import type { SaveResult } from '../http/save-result';

const CATALOGUE_SCOPE = 'catalogue';
const catalogueHashes = new Map(CATALOGUE.map((movement) => [movement.slug, contentHash(movement)]));

export interface StoredOwn {
	version: number;
	movement: Movement;
}

/** The movements that a studio can choose from now. */
export interface StudioCatalogue {
	own: StoredOwn[];
	leftOut: string[];
	catalogue: CatalogueView;
	bySlug: ReadonlyMap<string, Movement>;
	/** Tells this state of the catalogue from any other: own movements and what is left out. */
	state: string;
	/** The content hash of every movement. */
	contentHashes: ReadonlyMap<string, string>;
}

/** Puts every state of the shipped catalogue where plans can find it again; at each start, and once for each state. */
export async function recordCatalogue(db: Db): Promise<void> {
	const rows = CATALOGUE.map((movement) => state(CATALOGUE_SCOPE, movement));
	await db.insert(movementState).ignore().values(rows);
}

/**
 * One object for each state of a movement, however often it is read: what is worked out from a movement (its figure, its
 * ring) is kept with the object. Its cautions are those of the table of conditions as it is now: a plan keeps the movement
 * that it was made with, and not cautions that were looser then. Bounded, so that it holds what is in use.
 */
const MOST_STATES = 2000;
const states = new Map<string, Movement>();
function oneObject(movement: Movement, hash: string): Movement {
	const known = states.get(hash);
	if (known) return known;
	if (states.size >= MOST_STATES) states.delete(states.keys().next().value as string);
	const ruled = withRuledCautions(movement);
	states.set(hash, ruled);
	return ruled;
}

const state = (scope: string, movement: Movement) => ({
	scope,
	contentHash: contentHash(movement),
	slug: movement.slug,
	document: movement
});

export async function studioCatalogue(db: Db, studioId: string): Promise<StudioCatalogue> {
	const own = await db.select().from(ownMovement).where(eq(ownMovement.studioId, studioId));
	const out = await db.select().from(leftOut).where(eq(leftOut.studioId, studioId));
	const hashes = own.map((row) => contentHash(row.document));
	const movements = own.map((row, i) => oneObject(row.document, hashes[i]!));
	const catalogue = catalogueView(
		CATALOGUE,
		movements,
		out.map((row) => row.slug)
	);
	return {
		own: own.map((row, i) => ({ version: row.version, movement: movements[i]! })),
		leftOut: out.map((row) => row.slug),
		catalogue,
		state: createHash('sha256')
			.update([...hashes, ' ', ...out.map((row) => row.slug)].join(' '))
			.digest('hex')
			.slice(0, 16),
		bySlug: new Map(catalogue.all.map((movement) => [movement.slug, movement])),
		contentHashes: new Map([...catalogueHashes, ...movements.map((m, i) => [m.slug, hashes[i]!] as const)])
	};
}

/** For some plans: what each was made with, where that differs from now. `brought`: movements that come with them. */
export async function outdatedMovements(
	db: Db,
	studioId: string,
	current: StudioCatalogue,
	plans: readonly Pick<ClassPlan, 'madeWith'>[],
	brought: readonly Movement[] = []
): Promise<OutdatedMovement[][]> {
	const old = plans.map((plan) =>
		Object.entries(plan.madeWith ?? {}).filter(([slug, hash]) => current.contentHashes.get(slug) !== hash)
	);
	const hashes = [...new Set(old.flat().map(([, hash]) => hash))];
	if (hashes.length === 0) return plans.map(() => []);
	const rows = await db
		.select()
		.from(movementState)
		.where(
			and(
				inArray(movementState.contentHash, hashes),
				or(eq(movementState.scope, CATALOGUE_SCOPE), eq(movementState.scope, studioId))
			)
		);
	const byHash = new Map([
		...rows.map((row) => [row.contentHash, oneObject(row.document, row.contentHash)] as const),
		...brought.map((movement) => [contentHash(movement), movement] as const)
	]);
	return old.map((entries) =>
		entries.flatMap(([slug, hash]): OutdatedMovement[] => {
			const kept = byHash.get(hash);
			if (!kept) return [];
			const movement = current.bySlug.get(slug);
			return [
				{
					slug,
					english: kept.english,
					now: current.contentHashes.get(slug) ?? null,
					kept,
					differences: movement ? movementDifference(kept, movement) : []
				}
			];
		})
	);
}

/** The same as plain data. */
export const movementsFor = (current: StudioCatalogue, kept: readonly OutdatedMovement[]): Movements => ({
	own: current.own.map((o) => o.movement),
	leftOut: current.leftOut,
	kept: kept.map((k) => k.kept)
});

/** The catalogue as a plan sees it: as it is now, with what the plan was made with before it. */
export function catalogueWith(current: StudioCatalogue, kept: readonly OutdatedMovement[]): CatalogueView {
	return catalogueView(
		CATALOGUE,
		current.own.map((o) => o.movement),
		current.leftOut,
		kept.map((k) => k.kept)
	);
}

/**
 * The plan with the state of each movement it uses: what it says itself, else what it was stored with, else
 * the one of now. Movements that it no longer uses are forgotten.
 */
export function withStates(plan: ClassPlan, stored: ClassPlan | null, current: StudioCatalogue): ClassPlan {
	const madeWith: Record<string, string> = {};
	for (const { movement } of itemsOf(plan)) {
		const hash =
			plan.madeWith?.[movement] ?? stored?.madeWith?.[movement] ?? current.contentHashes.get(movement);
		if (hash) madeWith[movement] = hash;
	}
	return { ...plan, madeWith };
}

/** The content hashes of movements by their slugs, as a plan that is made with them names them. */
export const contentHashes = (movements: readonly Movement[]): Record<string, string> =>
	Object.fromEntries(movements.map((movement) => [movement.slug, contentHash(movement)]));

/**
 * Keeps movements that came with a file, so that the plans made with them can be read here: those that one of the plans
 * names. To be called in the transaction that stores the plans.
 */
export async function keepMovements(
	tx: Db,
	studioId: string,
	movements: readonly Movement[],
	plans: readonly Pick<ClassPlan, 'madeWith'>[]
): Promise<void> {
	const named = new Set(plans.flatMap((plan) => Object.values(plan.madeWith ?? {})));
	const rows = movements
		.map((movement) => state(studioId, movement))
		.filter((row) => named.has(row.contentHash));
	if (rows.length === 0) return;
	await holdQuota(
		tx,
		'kept states of movements',
		movementState,
		eq(movementState.scope, studioId),
		rows.length
	);
	await tx.insert(movementState).ignore().values(rows);
}

export async function getOwn(db: Db, studioId: string, slug: string): Promise<StoredOwn | null> {
	const [row] = await db
		.select()
		.from(ownMovement)
		.where(and(eq(ownMovement.studioId, studioId), eq(ownMovement.slug, slug)));
	return row ? { version: row.version, movement: row.document } : null;
}

/**
 * Adds an own movement under the first free slug that `slugOf` gives for those that are taken; the slug. Two that are
 * added at the same moment get two slugs.
 */
export async function createOwn(
	db: Db,
	studioId: string,
	movement: Movement,
	slugOf: (taken: (slug: string) => boolean) => string = () => movement.slug
): Promise<string> {
	const own = await db
		.select({ slug: ownMovement.slug })
		.from(ownMovement)
		.where(eq(ownMovement.studioId, studioId));
	const taken = new Set([...catalogueHashes.keys(), ...own.map((row) => row.slug)]);
	return db.transaction(async (tx) => {
		await holdQuota(tx, 'own movements', ownMovement, eq(ownMovement.studioId, studioId));
		for (;;) {
			const slug = slugOf((s) => taken.has(s));
			const document = { ...movement, slug };
			const [added] = await tx.insert(ownMovement).ignore().values({ studioId, slug, document });
			if (added.affectedRows === 0) {
				if (taken.has(slug)) throw new Error('no free slug');
				taken.add(slug);
				continue;
			}
			await tx.insert(movementState).ignore().values(state(studioId, document));
			return slug;
		}
	});
}

export async function saveOwn(
	db: Db,
	studioId: string,
	fromVersion: number,
	movement: Movement
): Promise<SaveResult<StoredOwn>> {
	const done = await db.transaction(async (tx) => {
		const row = and(eq(ownMovement.studioId, studioId), eq(ownMovement.slug, movement.slug))!;
		if (!(await updateFrom(tx, ownMovement, row, fromVersion, { document: movement }))) return false;
		await tx.insert(movementState).ignore().values(state(studioId, movement));
		return true;
	});
	if (done) return { kind: 'saved', version: fromVersion + 1 };
	const current = await getOwn(db, studioId, movement.slug);
	return current ? { kind: 'stale', current } : { kind: 'missing' };
}

export async function setLeftOut(db: Db, studioId: string, slug: string, out: boolean): Promise<void> {
	if (out) await db.insert(leftOut).ignore().values({ studioId, slug });
	else await clearRows(db, leftOut, and(eq(leftOut.studioId, studioId), eq(leftOut.slug, slug))!);
}
