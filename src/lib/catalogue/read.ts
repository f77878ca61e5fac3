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
/** Differences of a form; missing legs and fields are those of the movement. */
type WrittenFormHips = Partial<Record<'both' | 'lead' | 'trail', Partial<WrittenLeg>>>;

type WrittenForm = Omit<Form, 'props' | 'dose' | 'doseIn' | 'action' | 'leaveSeconds'> & {
	props?: string[];
	dose: string;
	doseIn?: Partial<Record<Mode, string>>;
	hips?: WrittenFormHips;
	leaveSeconds?: number;
};

/** An entry of the data files: as a movement, with the short notations, and empty fields left out. */
export type WrittenMovement = Pick<Movement, 'slug' | 'english' | 'position' | 'modes' | 'setUp' | 'watch'> &
	Partial<Omit<Movement, 'action' | 'forms' | 'cautions'>> & {
		hips: WrittenHips;
		/** Why an entry is as it is, for those who look after the data. */
		notes?: string;
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
	const { hips, forms, cautions = [], notes: _notes, ...rest } = written;
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
		forms: forms.map((form, index) => at(`forms[${index}]`, () => readForm(form, hips))),
		cautions: cautions.map((c) => ({ ...c, okIn: c.okIn ?? [] }))
	};
}

function readForm(
	{ props = [], dose, doseIn, hips, leaveSeconds = 0, ...rest }: WrittenForm,
	usual: WrittenHips
): Form {
	return {
		...rest,
		props: props.map(readProp),
		dose: readDose(dose),
		...(doseIn ? { doseIn: mapDoses(doseIn) } : {}),
		...(hips ? { action: action(changed(usual, hips)) } : {}),
		leaveSeconds
	};
}

/** @throws Error where a form names a leg that the movement does not */
function changed(usual: WrittenHips, own: WrittenFormHips): WrittenHips {
	const legs = Object.keys(usual);
	const other = Object.keys(own).find((name) => !legs.includes(name));
	if (other) throw new Error(`hips: "${other}" is not one of ${legs.join(', ')}`);
	if ('both' in usual) return { both: { ...usual.both, ...own.both } };
	return { lead: { ...usual.lead, ...own.lead }, trail: { ...usual.trail, ...own.trail } };
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
