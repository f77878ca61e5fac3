import {
	readDose,
	readHips,
	readProp,
	type ActionProfile,
	type DoseRange,
	type Form,
	type LegAction,
	type Mode,
	type Movement,
	type MuscleGroup,
	type Tissue
} from './core';

/** A leg as it is written down: angles in the short notation. */
interface WrittenLeg {
	angles: string;
	lengthens?: Tissue[];
	works?: MuscleGroup[];
}
type WrittenHips = { both: WrittenLeg } | { lead: WrittenLeg; trail: WrittenLeg };

type WrittenForm = Omit<Form, 'props' | 'dose' | 'doseIn' | 'action' | 'leaveSeconds'> & {
	props?: string[];
	dose: string;
	doseIn?: Partial<Record<Mode, string>>;
	hips?: WrittenHips;
	leaveSeconds?: number;
};

/** An entry of the data files: as a movement, with the short notations, and empty fields left out. */
export type WrittenMovement = Pick<Movement, 'slug' | 'english' | 'position' | 'modes' | 'setUp' | 'watch'> &
	Partial<Omit<Movement, 'action' | 'forms' | 'cautions'>> & {
		hips: WrittenHips;
		forms: WrittenForm[];
		cautions?: (Omit<Movement['cautions'][number], 'okIn'> & {
			okIn?: Movement['cautions'][number]['okIn'];
		})[];
	};

/**
 * Reads an entry of the data files.
 * @throws Error that names the movement, the field and what cannot be read
 */
export function readMovement(written: WrittenMovement): Movement {
	const { hips, forms, cautions = [], ...rest } = written;
	const at = <T>(field: string, read: () => T): T => {
		try {
			return read();
		} catch (error) {
			throw new Error(`${written.slug || '(no slug)'}: ${field}: ${(error as Error).message}`, {
				cause: error
			});
		}
	};
	return {
		sanskrit: '',
		aliases: [],
		families: [],
		purposes: [],
		mistakes: '',
		leave: '',
		mirrored: '',
		prerequisites: [],
		preparations: [],
		counters: [],
		kin: [],
		pose: {},
		...rest,
		action: at('hips', () => action(hips)),
		forms: forms.map((form, index) => at(`forms[${index}]`, () => readForm(form))),
		cautions: cautions.map((c) => ({ ...c, okIn: c.okIn ?? [] }))
	};
}

function readForm({ props = [], dose, doseIn, hips, leaveSeconds = 0, ...rest }: WrittenForm): Form {
	return {
		...rest,
		props: props.map(readProp),
		dose: readDose(dose),
		...(doseIn ? { doseIn: mapDoses(doseIn) } : {}),
		...(hips ? { action: action(hips) } : {}),
		leaveSeconds
	};
}

function mapDoses(doses: Partial<Record<Mode, string>>): Partial<Record<Mode, DoseRange>> {
	return Object.fromEntries(Object.entries(doses).map(([mode, text]) => [mode, readDose(text)]));
}

function leg({ angles, lengthens = [], works = [] }: WrittenLeg): LegAction {
	return { ...readHips(angles), lengthens, works };
}

function action(hips: WrittenHips): ActionProfile {
	return 'both' in hips ? { both: leg(hips.both) } : { lead: leg(hips.lead), trail: leg(hips.trail) };
}
