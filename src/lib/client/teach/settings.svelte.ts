import { boolean, object, string } from 'yup';
import { persisted } from '../page/persisted';
import type { ChosenKeys } from './teach-keys';
import { LEADS, WAYS, type Lead, type StepKind, type CatchUpMethod } from '$lib/core/teach';

export const LOOKS = ['light', 'dark', 'contrast'] as const;
export type Look = (typeof LOOKS)[number];

/** How the teacher teaches with this device. */
export interface TeachSettings {
	lead: Lead;
	/** By the clock: waits until people are in. */
	waitsForPeople: boolean;
	/** The teacher faces the group: sides and drawings are mirrored. */
	isFacing: boolean;
	look: Look;
	tones: boolean;
	/** A tone with each breath that is counted. */
	breathTones: boolean;
	vibration: boolean;
	speech: boolean;
	/** The first suggestion for ending on time. */
	firstWay: CatchUpMethod;
	/** Keys, clicker and pedal, where they were set. */
	keys: ChosenKeys;
}

const USUAL: TeachSettings = {
	lead: 'hand',
	waitsForPeople: true,
	isFacing: true,
	look: 'light',
	tones: true,
	breathTones: false,
	vibration: true,
	speech: false,
	firstWay: 'shorten',
	keys: {}
};

const isKeys = (value: object | undefined) =>
	Object.values(value ?? {}).every(
		(keys) => Array.isArray(keys) && keys.every((key) => typeof key === 'string')
	);
/** Settings that are missing take their usual value. */
const settingsSchema = object({
	lead: string().oneOf(LEADS),
	waitsForPeople: boolean(),
	isFacing: boolean(),
	look: string().oneOf(LOOKS),
	tones: boolean(),
	breathTones: boolean(),
	vibration: boolean(),
	speech: boolean(),
	firstWay: string().oneOf(WAYS),
	keys: object().default(undefined).test(isKeys)
});
const stored = () => persisted<Partial<TeachSettings>>('orbit.teach', settingsSchema, {});

/** The settings of this device, kept as they change. */
export class DeviceSettings {
	now = $state.raw<TeachSettings>({ ...USUAL, ...stored().read() });

	set(change: Partial<TeachSettings>): void {
		this.now = { ...this.now, ...change };
		stored().write(this.now);
	}

	/** In which steps the clock waits for a tap. */
	get waitsIn(): StepKind[] {
		return this.now.waitsForPeople ? ['in', 'talk', 'test'] : [];
	}

	/** Ways to end on time, the favourite first. */
	get ways(): CatchUpMethod[] {
		return [this.now.firstWay, ...WAYS.filter((way) => way !== this.now.firstWay)];
	}
}
