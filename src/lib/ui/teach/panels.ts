/** Parts of teaching that are opened now and then: their scripts come with the page once it is at rest. */
export const TEACH_PANELS = {
	after: () => import('./TeachAfter.svelte'),
	list: () => import('./TeachList.svelte'),
	late: () => import('./TeachLate.svelte'),
	count: () => import('./TeachCount.svelte'),
	change: () => import('./TeachChange.svelte'),
	here: () => import('./TeachHere.svelte'),
	settings: () => import('./TeachSettingsPanel.svelte')
};
