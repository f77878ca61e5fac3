/** Parts of the desk of a series that are not there at first: their scripts come when they are opened, or at rest. */
export const SERIES_PANELS = {
	charts: () => import('./SeriesCharts.svelte'),
	class: () => import('./SeriesClass.svelte'),
	more: () => import('./SeriesMore.svelte'),
	pending: () => import('./SeriesPending.svelte'),
	settings: () => import('./SeriesSettings.svelte'),
	start: () => import('./SeriesStart.svelte')
};
