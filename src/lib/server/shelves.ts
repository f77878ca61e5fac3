import { and, eq, inArray, or, sql } from 'drizzle-orm';
import { CATALOGUE } from '../catalogue';
import { movementDifference, shelfOf, type Difference, type Movement, type Shelf } from '../core/movement';
import { itemsOf, type ClassPlan } from '../core/plan';
import type { Db } from './db/open';
import { leftOut, movementState, ownMovement } from './db/schema';
import { fingerprint } from './fingerprint';
import type { Saved } from './saved';

const CATALOGUE_SCOPE = 'catalogue';
const catalogueFingerprints = new Map(CATALOGUE.map((movement) => [movement.slug, fingerprint(movement)]));

export interface StoredOwn {
	version: number;
	movement: Movement;
}

/** What a studio can choose from today. */
export interface StudioShelf {
	own: StoredOwn[];
	leftOut: string[];
	shelf: Shelf;
	/** Today's fingerprint of every movement. */
	fingerprints: ReadonlyMap<string, string>;
}

/** Puts every state of the shipped catalogue where plans can find it again; at each start, and once for each state. */
export async function recordCatalogue(db: Db): Promise<void> {
	const rows = CATALOGUE.map((movement) => state(CATALOGUE_SCOPE, movement));
	await db.insert(movementState).ignore().values(rows);
}

const state = (scope: string, movement: Movement) => ({
	scope,
	fingerprint: fingerprint(movement),
	slug: movement.slug,
	document: movement
});

export async function studioShelf(db: Db, studioId: string): Promise<StudioShelf> {
	const own = await db.select().from(ownMovement).where(eq(ownMovement.studioId, studioId));
	const out = await db.select().from(leftOut).where(eq(leftOut.studioId, studioId));
	const movements = own.map((row) => row.document);
	return {
		own: own.map((row) => ({ version: row.version, movement: row.document })),
		leftOut: out.map((row) => row.slug),
		shelf: shelfOf(
			CATALOGUE,
			movements,
			out.map((row) => row.slug)
		),
		fingerprints: new Map([
			...catalogueFingerprints,
			...movements.map((m) => [m.slug, fingerprint(m)] as const)
		])
	};
}

/** A movement that a plan was made with and that is another today (or is not there any more: no `now`). */
export interface MovedOn {
	slug: string;
	english: string;
	/** Today's fingerprint; null when the shelf has it no more. */
	now: string | null;
	kept: Movement;
	differences: Difference[];
}

/** For some plans: what each was made with, where that differs from today. */
export async function movedOn(
	db: Db,
	studioId: string,
	today: StudioShelf,
	plans: readonly ClassPlan[]
): Promise<MovedOn[][]> {
	const old = plans.map((plan) =>
		Object.entries(plan.madeWith ?? {}).filter(([slug, print]) => today.fingerprints.get(slug) !== print)
	);
	const prints = [...new Set(old.flat().map(([, print]) => print))];
	if (prints.length === 0) return plans.map(() => []);
	const rows = await db
		.select()
		.from(movementState)
		.where(
			and(
				inArray(movementState.fingerprint, prints),
				or(eq(movementState.scope, CATALOGUE_SCOPE), eq(movementState.scope, studioId))
			)
		);
	const byPrint = new Map(rows.map((row) => [row.fingerprint, row.document]));
	return old.map((entries) =>
		entries.flatMap(([slug, print]): MovedOn[] => {
			const kept = byPrint.get(print);
			if (!kept) return [];
			const current = today.shelf.all.find((m) => m.slug === slug);
			return [
				{
					slug,
					english: kept.english,
					now: today.fingerprints.get(slug) ?? null,
					kept,
					differences: current ? movementDifference(kept, current) : []
				}
			];
		})
	);
}

/** The shelf as a plan sees it: today's, with what the plan was made with before it. */
export function shelfWith(today: StudioShelf, kept: readonly MovedOn[]): Shelf {
	return shelfOf(
		CATALOGUE,
		today.own.map((o) => o.movement),
		today.leftOut,
		kept.map((k) => k.kept)
	);
}

/**
 * The plan with the state of each movement it uses: what it says itself, else what it was stored with, else
 * today's. Movements that it no longer uses are forgotten.
 */
export function withStates(plan: ClassPlan, stored: ClassPlan | null, today: StudioShelf): ClassPlan {
	const madeWith: Record<string, string> = {};
	for (const { movement } of itemsOf(plan)) {
		const print =
			plan.madeWith?.[movement] ?? stored?.madeWith?.[movement] ?? today.fingerprints.get(movement);
		if (print) madeWith[movement] = print;
	}
	return { ...plan, madeWith };
}

/** Keeps movements that came with a file, so that the plan made with them can be read here. Their fingerprints. */
export async function keepMovements(
	db: Db,
	studioId: string,
	movements: readonly Movement[]
): Promise<Record<string, string>> {
	if (movements.length === 0) return {};
	const rows = movements.map((movement) => state(studioId, movement));
	await db.insert(movementState).ignore().values(rows);
	return Object.fromEntries(rows.map((row) => [row.slug, row.fingerprint]));
}

export async function getOwn(db: Db, studioId: string, slug: string): Promise<StoredOwn | null> {
	const [row] = await db
		.select()
		.from(ownMovement)
		.where(and(eq(ownMovement.studioId, studioId), eq(ownMovement.slug, slug)));
	return row ? { version: row.version, movement: row.document } : null;
}

/** Adds an own movement; its slug must be free. */
export async function createOwn(db: Db, studioId: string, movement: Movement): Promise<void> {
	await db.transaction(async (tx) => {
		await tx.insert(ownMovement).values({ studioId, slug: movement.slug, document: movement });
		await tx.insert(movementState).ignore().values(state(studioId, movement));
	});
}

export async function saveOwn(
	db: Db,
	studioId: string,
	fromVersion: number,
	movement: Movement
): Promise<Saved<StoredOwn>> {
	const done = await db.transaction(async (tx) => {
		const [result] = await tx
			.update(ownMovement)
			.set({ document: movement, version: sql`${ownMovement.version} + 1` })
			.where(
				and(
					eq(ownMovement.studioId, studioId),
					eq(ownMovement.slug, movement.slug),
					eq(ownMovement.version, fromVersion)
				)
			);
		if (result.affectedRows === 0) return false;
		await tx.insert(movementState).ignore().values(state(studioId, movement));
		return true;
	});
	if (done) return { kind: 'saved', version: fromVersion + 1 };
	const current = await getOwn(db, studioId, movement.slug);
	return current ? { kind: 'stale', current } : { kind: 'missing' };
}

export async function setLeftOut(db: Db, studioId: string, slug: string, out: boolean): Promise<void> {
	if (out) await db.insert(leftOut).ignore().values({ studioId, slug });
	else await db.delete(leftOut).where(and(eq(leftOut.studioId, studioId), eq(leftOut.slug, slug)));
}
