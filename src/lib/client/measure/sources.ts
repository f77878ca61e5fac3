import {
	readInclinometerLine,
	tiltBetween,
	upOf,
	type Tilt,
	type TestId,
	type Up
} from '$lib/core/hip-tests';
import type { Leg } from '$lib/core/anatomy';

/** Listener to an instrument. */
export interface TiltListener {
	tilt: (tilt: Tilt) => void;
	/** It fell silent; what was read stays read, and it is listened for on. */
	lost: () => void;
	/** It is not possible at all: why, in a sentence. */
	none: (why: string) => void;
}

/** Something that tells how far a limb is tilted. Listening begins at once; what is returned ends it. */
export type TiltSource = (of: { test: TestId; leg: Leg }, listener: TiltListener) => () => void;

/** With no event for so long the phone lies flat asleep, or the page was in the background. */
const SILENT_MS = 1000;

/** A device that has told nothing for so long has no sense of it. */
const NEVER_HEARD_MS = 4000;
const NO_TILT = 'This device does not tell how it is tilted; type the figures instead.';

interface AsksFirst {
	requestPermission?: () => Promise<'granted' | 'denied'>;
}

/** The phone itself, laid on the limb: it is zeroed where it is when listening begins. */
export const phone: TiltSource = (_of, { tilt, lost, none }) => {
	let zero: Up | null = null;
	let heard = 0;
	let over = false;
	const listen = ({ beta, gamma, timeStamp }: DeviceOrientationEvent) => {
		if (beta === null || gamma === null) return;
		heard = timeStamp;
		const up = upOf(beta, gamma);
		zero ??= up;
		tilt({ ms: timeStamp, degrees: tiltBetween(zero, up), batteryPercent: null });
	};
	const begin = () => {
		if (!over) window.addEventListener('deviceorientation', listen);
	};
	const asks = (globalThis.DeviceOrientationEvent ?? {}) as AsksFirst;
	if (!('DeviceOrientationEvent' in globalThis)) none(NO_TILT);
	else if (asks.requestPermission)
		void asks.requestPermission().then((answer) => {
			if (answer === 'granted') begin();
			else none('This page may not read how the phone is tilted; type the figures instead.');
		});
	else begin();
	const began = performance.now();
	const watch = setInterval(() => {
		if (heard === 0 && performance.now() - began > NEVER_HEARD_MS) none(NO_TILT);
		else if (heard > 0 && performance.now() - heard > SILENT_MS) lost();
	}, SILENT_MS);
	return () => {
		over = true;
		clearInterval(watch);
		window.removeEventListener('deviceorientation', listen);
	};
};

/** The inclinometer beside the server. */
export const listenToInclinometer: TiltSource = ({ test, leg }, { tilt, lost, none }) => {
	const stream = new EventSource(`/api/inclinometer?test=${test}&leg=${leg}`);
	stream.addEventListener('line', ({ data }) => {
		const read = readInclinometerLine(String(data));
		if (read) tilt(read);
	});
	stream.addEventListener('lost', lost);
	stream.addEventListener('none', () => {
		stream.close();
		none('There is no inclinometer beside this server; use the phone, or type the figures.');
	});
	// the browser comes back by itself
	stream.onerror = lost;
	return () => stream.close();
};
