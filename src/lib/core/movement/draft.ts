import {
	isSymmetrical,
	readHips,
	writeHips,
	type ActionProfile,
	type LegAction,
	type MuscleGroup,
	type Tissue,
	legPair
} from '../anatomy';
import { withRuledCautions } from './conditions';
import { readDose, readProp, writeDose, writeProp } from './notation';

import type { CautionAdvice, Form, FormId, Mode, Movement, Position } from './types';

/** A leg as it is typed. */
export interface DraftLeg {
	angles: string;
	lengthens: Tissue[];
	works: MuscleGroup[];
}

/** A form as it is typed: the dose and the kit in their short notations, one piece of kit a line. */
export interface DraftForm {
	id: FormId;
	how: string;
	kit: string;
	/** How this form is done; empty where it is done as the others are. */
	modes: Mode[];
	/** Angles of the leading (or each) and of the other leg, where they differ from those above; else empty. */
	lead: string;
	trail: string;
	intensity: number;
	effort: number;
	dose: string;
}

/** A movement as a teacher writes it down; {@link readMovementDraft} makes a movement of it. */
export interface MovementDraft {
	english: string;
	sanskrit: string;
	/** Separated by commas. */
	aliases: string;
	position: Position;
	modes: Mode[];
	sided: boolean;
	byTurns: boolean;
	bothWays: boolean;
	lead: DraftLeg;
	trail: DraftLeg;
	forms: DraftForm[];
	setUp: string;
	watch: string;
	mistakes: string;
	leave: string;
	cautions: CautionAdvice[];
}

/** A form with nothing in it yet. */
export const emptyForm = (id: FormId): DraftForm => ({
	id,
	how: '',
	kit: '',
	modes: [],
	lead: '',
	trail: '',
	intensity: 2,
	effort: 1,
	dose: '3-5-8 breaths'
});

/** An own movement with nothing in it yet. */
export const emptyDraft = (): MovementDraft => ({
	english: '',
	sanskrit: '',
	aliases: '',
	position: 'seated',
	modes: ['active'],
	sided: true,
	byTurns: false,
	bothWays: false,
	lead: { angles: 'F90 K90', lengthens: [], works: [] },
	trail: { angles: 'F90 K90', lengthens: [], works: [] },
	forms: [emptyForm('full')],
	setUp: '',
	watch: '',
	mistakes: '',
	leave: '',
	cautions: []
});

/** The draft of a movement that exists, to be changed or copied. */
export function movementDraftOf(movement: Movement): MovementDraft {
	const leg = (action: LegAction): DraftLeg => ({
		angles: writeHips(action),
		lengthens: [...action.lengthens],
		works: [...action.works]
	});
	const { action } = movement;
	const [lead, trail] = legPair(action);
	const { english, sanskrit, position, setUp, watch, mistakes, leave, cautions } = movement;
	return {
		english,
		sanskrit,
		aliases: movement.aliases.join(', '),
		position,
		modes: [...movement.modes],
		sided: !isSymmetrical(action),
		byTurns: movement.byTurns ?? false,
		bothWays: movement.bothWays ?? false,
		lead: leg(lead),
		trail: leg(trail),
		forms: movement.forms.map((form) => ({
			id: form.id,
			how: form.how,
			kit: form.props.map(writeProp).join('\n'),
			modes: [...(form.modes ?? [])],
			...formAngles(form, movement),
			intensity: form.intensity,
			effort: form.effort,
			dose: writeDose(form.dose)
		})),
		setUp,
		watch,
		mistakes,
		leave,
		cautions
	};
}

/** The angles of a form where they differ from those of the movement. */
function formAngles(form: Form, movement: Movement): Pick<DraftForm, 'lead' | 'trail'> {
	const own = legsOf(form.action ?? movement.action);
	const usual = legsOf(movement.action);
	const differing = (leg: 0 | 1) => {
		const text = writeHips(own[leg]);
		return text === writeHips(usual[leg]) ? '' : text;
	};
	return { lead: differing(0), trail: isSymmetrical(movement.action) ? '' : differing(1) };
}

const legsOf = (action: ActionProfile): [LegAction, LegAction] => legPair(action);

export type ReadDraft = { ok: true; movement: Movement } | { ok: false; field: string; message: string };

/** Fields of a form that the draft does not edit: doses by mode (for modes still there), drawing, time to leave. */
function unwritten(
	id: FormId,
	draft: MovementDraft,
	base: Movement | undefined
): Pick<Form, 'doseIn' | 'pose' | 'offHands' | 'leaveSeconds'> {
	const form = base?.forms.find((f) => f.id === id);
	const doseIn = Object.entries(form?.doseIn ?? {}).filter(([mode]) => draft.modes.includes(mode as Mode));
	return {
		...(doseIn.length ? { doseIn: Object.fromEntries(doseIn) } : {}),
		...(form?.pose ? { pose: form.pose } : {}),
		...(form?.offHands ? { offHands: true } : {}),
		leaveSeconds: form?.leaveSeconds ?? 0
	};
}

/** Fields of a movement that the draft does not edit. */
const unwrittenOf = (base: Movement | undefined) => ({
	families: base?.families ?? [],
	purposes: base?.purposes ?? [],
	...(base?.felt ? { felt: base.felt } : {}),
	...(base?.breath ? { breath: base.breath } : {}),
	...(base?.sets ? { sets: base.sets } : {}),
	...(base?.closingHold ? { closingHold: base.closingHold } : {}),
	...(base?.secondSide ? { secondSide: base.secondSide } : {}),
	...(base?.partner ? { partner: base.partner } : {}),
	...(base?.onHands ? { onHands: base.onHands } : {}),
	...(base?.trunkTurn ? { trunkTurn: base.trunkTurn } : {}),
	...(base?.heldAtEachEnd ? { heldAtEachEnd: base.heldAtEachEnd } : {}),
	mirrored: base?.mirrored ?? '',
	...(base?.crosses ? { crosses: base.crosses } : {}),
	...(base?.withoutKit ? { withoutKit: base.withoutKit } : {}),
	prerequisites: base?.prerequisites ?? [],
	preparations: base?.preparations ?? [],
	counters: base?.counters ?? []
});

/** The modes of a form that the movement still has; none where they are those of all forms. */
function modesIn({ modes }: DraftForm, draft: MovementDraft): Pick<Form, 'modes'> {
	const kept = modes.filter((mode) => draft.modes.includes(mode));
	return kept.length ? { modes: kept } : {};
}

/**
 * Makes a movement of a draft, with the cautions that follow from its angles. What the draft has no field for is
 * taken from `base` (the movement that is changed or copied).
 */
export function readMovementDraft(draft: MovementDraft, slug: string, base?: Movement): ReadDraft {
	let field = '';
	const at = <T>(name: string, read: () => T): T => {
		field = name;
		return read();
	};
	const leg = (name: string, { angles, lengthens, works }: DraftLeg): LegAction =>
		at(name, () => ({ ...readHips(angles), lengthens, works }));
	/** The legs of a form: its own angles, with what the form that was there lengthens and works. */
	const actionIn = (form: DraftForm): Pick<Form, 'action'> => {
		const before = base?.forms.find((f) => f.id === form.id)?.action;
		const kept = before && isSymmetrical(before) === !draft.sided ? legsOf(before) : undefined;
		if (!form.lead && !(draft.sided && form.trail) && !kept) return {};
		const own = (index: 0 | 1, angles: string, usual: DraftLeg) =>
			leg(`${form.id} form, ${index ? 'other leg' : 'angles'}`, {
				angles: angles || usual.angles,
				lengthens: kept?.[index].lengthens ?? usual.lengthens,
				works: kept?.[index].works ?? usual.works
			});
		const lead = own(0, form.lead, draft.lead);
		return { action: draft.sided ? { lead, trail: own(1, form.trail, draft.trail) } : { both: lead } };
	};
	try {
		const movement: Movement = {
			...unwrittenOf(base),
			...(draft.byTurns ? { byTurns: true } : {}),
			...(draft.bothWays ? { bothWays: true } : {}),
			pose: base?.position === draft.position ? (base?.pose ?? {}) : {},
			slug,
			english: draft.english.trim(),
			sanskrit: draft.sanskrit.trim(),
			aliases: draft.aliases
				.split(',')
				.map((name) => name.trim())
				.filter(Boolean),
			position: draft.position,
			modes: draft.modes,
			kin: base && base.slug !== slug ? [base.slug] : (base?.kin ?? []),
			action: draft.sided
				? { lead: leg('leading leg', draft.lead), trail: leg('other leg', draft.trail) }
				: { both: leg('both legs', draft.lead) },
			forms: draft.forms.map((form) => ({
				id: form.id,
				how: form.how.trim(),
				props: form.kit
					.split('\n')
					.filter((line) => line.trim())
					.map((line) => at(`${form.id} form, kit`, () => readProp(line))),
				intensity: form.intensity,
				effort: form.effort,
				dose: at(`${form.id} form, dose`, () => readDose(form.dose)),
				...modesIn(form, draft),
				...actionIn(form),
				...unwritten(form.id, draft, base)
			})),
			setUp: draft.setUp.trim(),
			watch: draft.watch.trim(),
			mistakes: draft.mistakes.trim(),
			leave: draft.leave.trim(),
			cautions: draft.cautions
		};
		return { ok: true, movement: withRuledCautions(movement) };
	} catch (error) {
		return { ok: false, field, message: (error as Error).message };
	}
}

/** A list with a value in it or not, as a box beside the value is ticked or not. */
export function toggled<T>(list: readonly T[], value: T, on: boolean): T[] {
	const others = list.filter((other) => other !== value);
	return on ? [...others, value] : others;
}
