import { spoken, type Now, type SessionState } from '$lib/core/teach';
import type { TeachSettings } from './settings.svelte';

/** Tones, hertz: a step begins by itself, ten seconds are left, the time is over, a breath. */
const TONES = { begins: 528, soon: 396, over: 330, breath: 264 } as const;
const TONE_SECONDS = 0.35;
/** So long before the end of a step it says that the end comes. */
const SOON_MS = 10_000;
/** A shorter step has no such warning. */
const SOON_FROM_MS = 20_000;

/** Soft tones made here, a short vibration and the voice of the device; each only where it is wanted and there. */
export class Signals {
	private audio: AudioContext | null = null;
	private last = { id: '', isSoon: false, isOver: false, breath: 0 };

	/** Browsers make sound only after a tap: to be called in one. */
	wake(): void {
		try {
			this.audio ??= new AudioContext();
			void this.audio.resume();
		} catch {
			this.audio = null;
		}
	}

	/** Says what has changed since it was called last. */
	follow(now: Now, { mode }: SessionState, settings: TeachSettings): void {
		if (mode !== 'running') return;
		const is = {
			id: now.id,
			isSoon: now.goalMs >= SOON_FROM_MS && now.goalMs - now.givenMs <= SOON_MS,
			isOver: now.givenMs >= now.goalMs,
			breath: now.count?.done ?? 0
		};
		const before = this.last;
		this.last = is;
		if (before.id !== is.id) {
			if (before.id) this.signal(TONES.begins, [60], settings);
			if (settings.speech) this.speak(spoken(now.step));
			return;
		}
		if (now.step.kind !== 'work' && now.step.kind !== 'rest') return;
		if (is.isOver && !before.isOver) this.signal(TONES.over, [60, 80, 60], settings);
		else if (is.isSoon && !before.isSoon) this.signal(TONES.soon, [40], settings);
		else if (settings.breathTones && is.breath > before.breath) this.signal(TONES.breath, [], settings);
	}

	private signal(hertz: number, pattern: number[], { tones, vibration }: TeachSettings): void {
		if (tones) this.tone(hertz);
		if (vibration && pattern.length && 'vibrate' in navigator) navigator.vibrate(pattern);
	}

	private tone(hertz: number): void {
		const { audio } = this;
		if (!audio || audio.state !== 'running') return;
		const tone = new OscillatorNode(audio, { frequency: hertz, type: 'sine' });
		const volume = new GainNode(audio, { gain: 0 });
		const at = audio.currentTime;
		volume.gain.linearRampToValueAtTime(0.18, at + 0.04);
		volume.gain.linearRampToValueAtTime(0, at + TONE_SECONDS);
		tone.connect(volume).connect(audio.destination);
		tone.start(at);
		tone.stop(at + TONE_SECONDS);
	}

	/** Only a voice that is on this device: others would send the words away. */
	private speak(words: string): void {
		if (!words || !('speechSynthesis' in globalThis)) return;
		const voice = speechSynthesis.getVoices().find((v) => v.localService && v.lang.startsWith('en'));
		if (!voice) return;
		speechSynthesis.cancel();
		const said = new SpeechSynthesisUtterance(words);
		said.voice = voice;
		speechSynthesis.speak(said);
	}

	close(): void {
		void this.audio?.close();
	}
}
