import type { Attachment } from 'svelte/attachments';

/** How far below the window something counts as coming into view, where nothing else is said. */
const AHEAD_PIXELS = 800;

/** Tells each time its element comes into view, or near it: the end of a list that is drawn as it is scrolled. */
export const onVisible =
	(tell: () => void, aheadPixels = AHEAD_PIXELS): Attachment =>
	(node) => {
		const watch = new IntersectionObserver(
			(entries) => {
				if (entries.some(({ isIntersecting }) => isIntersecting)) tell();
			},
			{ rootMargin: `${aheadPixels}px` }
		);
		watch.observe(node);
		return () => watch.disconnect();
	};
