/** Parts of teaching that are opened now and then: their scripts come with the page once it is at rest. */
export const PANELS = {
	list: () => import('./TeachList.svelte'),
	late: () => import('./TeachLate.svelte'),
	settings: () => import('./TeachSettingsPanel.svelte')
};
