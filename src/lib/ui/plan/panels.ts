/** Parts of the desk that are closed at first: their scripts come when they are opened, or when the page is at rest. */
export const PLAN_PANELS = {
	add: () => import('./AddMovement.svelte'),
	calm: () => import('./CalmPanel.svelte'),
	change: () => import('./ChangePanel.svelte'),
	here: () => import('./HerePanel.svelte'),
	keys: () => import('./KeySheet.svelte'),
	pace: () => import('./StyleAndPace.svelte'),
	propose: () => import('./ProposePanel.svelte')
};
