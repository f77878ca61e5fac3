import type { Direction } from './directions';

/** One published table of hip range: mean active or passive range of healthy adults, in degrees. */
export interface RangeNorm {
	source: string;
	people: string;
	meanDeg: Partial<Record<Direction, number>>;
}

/** Published hip ranges, degrees. All values from memory; each table says where it stands in print. */
export const RANGE_NORMS: RangeNorm[] = [
	{
		source: 'AAOS, Joint Motion: Method of Measuring and Recording, 1965',
		people: 'adults',
		meanDeg: {
			flexion: 120,
			extension: 30,
			abduction: 45,
			adduction: 30,
			internalRotation: 45,
			externalRotation: 45
		}
	},
	{
		source: 'Roaas & Andersson, Acta Orthop Scand 53:205, 1982',
		people: 'men of 30 to 40 years',
		meanDeg: {
			flexion: 120,
			extension: 9,
			abduction: 39,
			adduction: 31,
			internalRotation: 33,
			externalRotation: 34
		}
	},
	{
		source: 'Soucie et al., Haemophilia 17:500, 2011',
		people: 'men of 20 to 44 years',
		meanDeg: { flexion: 130, extension: 17 }
	},
	{
		source: 'Soucie et al., Haemophilia 17:500, 2011',
		people: 'women of 20 to 44 years',
		meanDeg: { flexion: 134, extension: 18 }
	}
];
