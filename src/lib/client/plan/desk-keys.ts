import { letterKeys } from '../page/letter-keys.svelte';
import type { PlanDesk } from './plan-desk';

interface Actions {
	add: () => void;
	propose: () => void;
	change: () => void;
	keys: () => void;
}

/**
 * Runs the action of a key at the desk. Fields in which the key has another meaning (typing, choosing) keep it.
 * @returns "moved" when the focus should follow the selection, "done" when the key was used, else null
 */
export function deskKey(event: KeyboardEvent, desk: PlanDesk, actions: Actions): 'moved' | 'done' | null {
	const target = event.target as HTMLElement | null;
	if (target?.closest('[role="dialog"], .bx--modal.is-visible')) return null;
	const typing = Boolean(target?.closest('input, textarea, select'));
	const control = event.ctrlKey || event.metaKey;
	if (control && !typing) return controlKey(event, desk);
	if (control || typing || letterKeys.ignores(event)) return null;
	const { selection, items, blocks } = desk;
	const { item, selected } = selection;
	switch (event.key) {
		case 'ArrowDown':
		case 'ArrowUp': {
			const step = event.key === 'ArrowDown' ? 1 : -1;
			if (event.altKey) {
				if (selected === null) return null;
				blocks.move(selected, step);
			} else if (event.shiftKey && selected !== null) selection.markNeighbour(step);
			else selection.selectNeighbour(step);
			return 'moved';
		}
		case 'a':
			actions.add();
			return 'done';
		case 'g':
			actions.propose();
			return 'done';
		case 'w':
			actions.change();
			return 'done';
		case 't':
			blocks.addTalk();
			return 'done';
		case 'm':
			blocks.addTest();
			return 'moved';
		case 'o':
			void desk.ordering.look();
			return 'done';
		case 'f':
			void desk.fitting.fit();
			return 'done';
		case '?':
			actions.keys();
			return 'done';
		case 'Delete':
		case 'Backspace':
			if (selected === null) return null;
			blocks.remove(selected);
			return 'moved';
	}
	if (!item) return null;
	switch (event.key) {
		case '+':
		case '=':
			items.doseBy(item, 1);
			return 'done';
		case '-':
			items.doseBy(item, -1);
			return 'done';
		case 's':
			items.swapLead(item);
			return 'done';
		case 'x':
			items.swapForBest(item);
			return 'moved';
		case 'd':
			selection.toggleDetail(item.id);
			return 'done';
		case 'c':
			blocks.chain(item.id);
			return 'moved';
		case 'r':
			blocks.flow(item.id);
			return 'moved';
		case 'l':
			blocks.nextLink(item);
			return 'done';
		case 'v':
			items.visitAgain(item);
			return 'moved';
		case 'C':
			blocks.unchain(item.id);
			return 'moved';
		case 'p':
			items.change(item, { pinned: !item.pinned }, item.pinned ? 'Dose unpinned' : 'Dose pinned');
			return 'done';
	}
	return null;
}

function controlKey(event: KeyboardEvent, desk: PlanDesk): 'moved' | 'done' | null {
	const key = event.key.toLowerCase();
	if (key === 'a') {
		desk.selection.markAll();
		return 'done';
	}
	if (key === 'z' && !event.shiftKey) desk.session.undo();
	else if (key === 'y' || (key === 'z' && event.shiftKey)) desk.session.redo();
	else return null;
	return 'moved';
}
