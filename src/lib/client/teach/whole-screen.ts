/** Whether this browser can show a page on the whole screen; those of some phones cannot. */
export const canWholeScreen = (): boolean => document.fullscreenEnabled;

/** The whole screen for the page, or back. A browser that refuses leaves it as it is. */
export async function toggleWholeScreen(): Promise<void> {
	const to = document.fullscreenElement
		? document.exitFullscreen()
		: document.documentElement.requestFullscreen({ navigationUI: 'hide' });
	await to.catch(() => undefined);
}
