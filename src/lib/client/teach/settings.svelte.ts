import type { ChosenKeys } from './teach-keys';
import { LEADS, WAYS, type Lead, type StepKind, type CatchUpMethod } from '$lib/core/teach';

export const LOOKS = ['light', 'dark', 'contrast'] as const;
export type Look = (typeof LOOKS)[number];

/** How somebody teaches with this device. */
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
const KEPT_AS = 'orbit.teach';

/** Returns the settings stored on this device; unreadable ones take their usual value. */
function kept(): TeachSettings {
	try {
		const given = JSON.parse(localStorage.getItem(KEPT_AS) ?? '{}') as Partial<TeachSettings>;
		const settings = { ...USUAL, ...given };
		const isKnown =
			LEADS.includes(settings.lead) &&
			LOOKS.includes(settings.look) &&
			WAYS.includes(settings.firstWay) &&
			Object.values(settings.keys).every(Array.isArray);
		return isKnown ? settings : USUAL;
	} catch {
		return USUAL;
	}
}

/** The settings of this device, kept as they change. */
export class DeviceSettings {
	now = $state.raw<TeachSettings>(kept());

	set(change: Partial<TeachSettings>): void {
		this.now = { ...this.now, ...change };
		try {
			localStorage.setItem(KEPT_AS, JSON.stringify(this.now));
		} catch {
			// no room or not allowed: it holds until the page is left
		}
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
