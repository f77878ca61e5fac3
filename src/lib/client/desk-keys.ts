import type { PlanEditor } from './plan-editor.svelte';

interface Actions {
	add: () => void;
	propose: () => void;
	keys: () => void;
}

/**
 * What a key does at the desk. Undone in fields where it would mean something else: typing, choosing.
 * @returns "moved" when the focus should follow the selection, "done" when the key was used, else null
 */
export function deskKey(event: KeyboardEvent, editor: PlanEditor, actions: Actions): 'moved' | 'done' | null {
	const target = event.target as HTMLElement | null;
	if (target?.closest('[role="dialog"], .bx--modal.is-visible')) return null;
	const typing = Boolean(target?.closest('input, textarea, select'));
	const control = event.ctrlKey || event.metaKey;
	if (control && !typing) return controlKey(event, editor);
	if (control || typing) return null;
	const { item, selected } = editor;
	switch (event.key) {
		case 'ArrowDown':
		case 'ArrowUp': {
			const step = event.key === 'ArrowDown' ? 1 : -1;
			if (event.altKey) {
				if (selected === null) return null;
				editor.move(selected, step);
			} else if (event.shiftKey && selected !== null) editor.markNeighbour(step);
			else editor.selectNeighbour(step);
			return 'moved';
		}
		case 'a':
			actions.add();
			return 'done';
		case 'g':
			actions.propose();
			return 'done';
		case 't':
			editor.addTalk();
			return 'done';
		case 'm':
			editor.addTest();
			return 'moved';
		case 'o':
			void editor.calm();
			return 'done';
		case 'f':
			void editor.fit();
			return 'done';
		case '?':
			actions.keys();
			return 'done';
		case 'Delete':
		case 'Backspace':
			if (selected === null) return null;
			editor.remove(selected);
			return 'moved';
	}
	if (!item) return null;
	switch (event.key) {
		case '+':
		case '=':
			editor.doseBy(item, 1);
			return 'done';
		case '-':
			editor.doseBy(item, -1);
			return 'done';
		case 's':
			editor.swapLead(item);
			return 'done';
		case 'x':
			editor.swapForBest(item);
			return 'moved';
		case 'd':
			editor.toggleDetail(item.id);
			return 'done';
		case 'c':
			editor.chain(item.id);
			return 'moved';
		case 'r':
			editor.flow(item.id);
			return 'moved';
		case 'l':
			editor.nextLink(item);
			return 'done';
		case 'v':
			editor.visitAgain(item);
			return 'moved';
		case 'C':
			editor.unchain(item.id);
			return 'moved';
		case 'p':
			editor.change(item, { pinned: !item.pinned }, item.pinned ? 'Dose unpinned' : 'Dose pinned');
			return 'done';
	}
	return null;
}

function controlKey(event: KeyboardEvent, editor: PlanEditor): 'moved' | 'done' | null {
	const key = event.key.toLowerCase();
	if (key === 'a') {
		editor.markAll();
		return 'done';
	}
	if (key === 'z' && !event.shiftKey) editor.undo();
	else if (key === 'y' || (key === 'z' && event.shiftKey)) editor.redo();
	else return null;
	return 'moved';
}
