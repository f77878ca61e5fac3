/** Keeps the screen of the device on while a class is led, and says where it cannot. */
export class WakeLock {
	/** Null before it was asked for. */
	isOn = $state<boolean | null>(null);
	private lock: WakeLockSentinel | null = null;

	async ask(): Promise<void> {
		if (!('wakeLock' in navigator)) {
			this.isOn = false;
			return;
		}
		try {
			this.lock = await navigator.wakeLock.request('screen');
			this.isOn = true;
			this.lock.addEventListener('release', () => (this.lock = null));
		} catch {
			this.isOn = false;
		}
	}

	/** The device lets go of it whenever the page is not seen. */
	async again(): Promise<void> {
		if (document.visibilityState === 'visible' && this.isOn && !this.lock) await this.ask();
	}

	letGo(): void {
		void this.lock?.release().catch(() => undefined);
	}
}
