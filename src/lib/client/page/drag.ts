import type { Action, ActionReturn } from 'svelte/action';
import type { DndEvent, Options, TRIGGERS } from 'svelte-dnd-action';

/** Trigger of a list's event when the block went to another list. */
export const INTO_ANOTHER: `${TRIGGERS.DROPPED_INTO_ANOTHER}` = 'droppedIntoAnother';
export type { DndEvent };

interface ZoneEvents<T> {
	onconsider?: (event: CustomEvent<DndEvent<T>>) => void;
	onfinalize?: (event: CustomEvent<DndEvent<T>>) => void;
}

/** The library comes once the page is there: a teacher does not drag in the first moment, and all can be done by keys. */
const library = () => import('svelte-dnd-action');

/** A list whose blocks can be dragged within it and to others of its kind. */
export function dragZone<T extends { id: string }>(
	node: HTMLElement,
	options: Options<T>
): ActionReturn<Options<T>, ZoneEvents<T>> {
	return whenLoaded(options, async () => (await library()).dragHandleZone<T>(node, options));
}

/** The handle of a block of such a list. */
export const dragHandle: Action<HTMLElement> = (node) =>
	whenLoaded(undefined, async () => (await library()).dragHandle(node));

/** An action that begins when it is loaded, with what it was given last, unless its element is gone by then. */
function whenLoaded<P>(first: P, begin: () => Promise<ActionReturn<P> | void>): ActionReturn<P> {
	let last = first;
	let gone = false;
	let action: ActionReturn<P> | void;
	begin().then(
		(begun) => {
			action = begun;
			if (gone) begun?.destroy?.();
			else if (last !== first) begun?.update?.(last);
		},
		() => undefined // without a connection everything is still moved by keys
	);
	return {
		update(next) {
			last = next;
			action?.update?.(next);
		},
		destroy() {
			gone = true;
			action?.destroy?.();
		}
	};
}
