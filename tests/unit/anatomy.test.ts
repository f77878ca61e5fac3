import { describe, expect, it } from 'vitest';
import {
	CEILING_DEG,
	COUNTS_FROM_DEG,
	DIRECTIONS,
	directionShares,
	implausibleAngles,
	OPPOSITE,
	RANGE_NORMS,
	readHips,
	writeHips,
	type LegAction
} from '../../src/lib/core/anatomy';

const legAction = (notation: string): LegAction => ({ ...readHips(notation), lengthens: [], works: [] });

describe('directions', () => {
	it('come in three opposite pairs', () => {
		for (const d of DIRECTIONS) expect(OPPOSITE[OPPOSITE[d]]).toBe(d);
		expect(new Set(DIRECTIONS.map((d) => [d, OPPOSITE[d]].sort().join())).size).toBe(3);
	});

	it('count from the angles of common practice (no source): F 100, E 10, AB 30, AD 15, IR 20, ER 30', () => {
		expect(COUNTS_FROM_DEG).toEqual({
			flexion: 100,
			extension: 10,
			abduction: 30,
			adduction: 15,
			internalRotation: 20,
			externalRotation: 30
		});
	});
});

describe('published hip range', () => {
	it('AAOS, Joint Motion, 1965: 120/30/45/30/45/45 (values from memory)', () => {
		expect(RANGE_NORMS[0]?.meanDeg).toEqual({
			flexion: 120,
			extension: 30,
			abduction: 45,
			adduction: 30,
			internalRotation: 45,
			externalRotation: 45
		});
	});

	it('Roaas & Andersson, Acta Orthop Scand 53:205, 1982: 120/9/39/31/33/34 (values from memory)', () => {
		expect(DIRECTIONS.map((d) => RANGE_NORMS[1]?.meanDeg[d])).toEqual([120, 9, 39, 31, 33, 34]);
	});

	it('Soucie et al., Haemophilia 17:500, 2011: flexion 130 and 134, extension 17 and 18 (values from memory)', () => {
		expect(RANGE_NORMS.slice(2).map((n) => [n.meanDeg.flexion, n.meanDeg.extension])).toEqual([
			[130, 17],
			[134, 18]
		]);
	});

	it('lies under the ceiling of the catalogue and reaches the angle from which a direction counts', () => {
		for (const { meanDeg } of RANGE_NORMS)
			for (const d of DIRECTIONS) {
				const deg = meanDeg[d];
				if (deg === undefined) continue;
				expect(deg).toBeLessThanOrEqual(CEILING_DEG[d]);
				if (!(d === 'extension' && deg === 9)) expect(deg).toBeGreaterThanOrEqual(COUNTS_FROM_DEG[d]);
			}
	});
});

describe('the notation of hip angles', () => {
	it('reads a hold and a swing, and keeps the knee where it was', () => {
		expect(readHips('F90 AB45 ER50 K90')).toEqual({
			positions: [{ flexion: 90, abduction: 45, externalRotation: 50 }],
			kneeDeg: [90]
		});
		expect(readHips('F80 IR35 K90 -> F80 ER45')).toEqual({
			positions: [
				{ flexion: 80, internalRotation: 35 },
				{ flexion: 80, externalRotation: 45 }
			],
			kneeDeg: [90, 90]
		});
	});

	it('writes what it reads', () => {
		for (const text of ['F90 AB45 ER50 K90', 'F120 K120 -> F90 AB45 K90 -> E10 K60', 'K0'])
			expect(writeHips(readHips(text))).toBe(text);
	});

	it.each([
		['F', '"F" is not an angle'],
		['X30', '"X" is not one of'],
		['F9O', '"F9O" is not an angle']
	])('refuses %s with the part that is wrong', (text, message) => {
		expect(() => readHips(text)).toThrow(message);
	});

	it('names what no hip can do', () => {
		expect(implausibleAngles(readHips('F140 K170'))).toEqual([
			'flexion 140° is outside 0-135°',
			'knee 170° is outside 0-160°'
		]);
		expect(implausibleAngles(readHips('IR30 ER30 K0'))).toContain(
			'internalRotation and externalRotation at once'
		);
		expect(implausibleAngles(readHips('F90 AB45 ER50 K90'))).toEqual([]);
	});
});

describe('directionShares', () => {
	it('counts a hold at or beyond the angle in full, and below it not at all', () => {
		expect(directionShares(legAction('F100 AB29 K90'))).toMatchObject({ flexion: 1, abduction: 0 });
	});

	it('gives each end of a swing half, and each of three stages a third', () => {
		expect(directionShares(legAction('IR35 -> ER45'))).toMatchObject({
			internalRotation: 0.5,
			externalRotation: 0.5
		});
		const sweep = directionShares(legAction('F120 K120 -> F90 AB45 K90 -> E10 K60'));
		expect(sweep.flexion).toBeCloseTo(1 / 3);
		expect(sweep.abduction).toBeCloseTo(1 / 3);
		expect(sweep.extension).toBeCloseTo(1 / 3);
	});
});
