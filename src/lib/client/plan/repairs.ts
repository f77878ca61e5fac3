import { type Finding } from '$lib/core/checks';
import { previewRepair, type Preview } from '$lib/core/analysis';
import { askCheckAgain, silenceCheck } from '../api';
import type { PlanEdit } from '$lib/core/plan';
import type { PlanDocument } from './plan-document.svelte';

/** Commands on findings: fixing them, and marking them as intended. */
export class Repairs {
	constructor(private readonly document: PlanDocument) {}

	/** Returns the repair of a finding with its effect; shows a message and returns null where there is none. */
	preview(finding: Finding): Preview | null {
		const preview = previewRepair(finding, this.document.analysis.context);
		if (!preview)
			this.document.say('There is no automatic fix that makes nothing worse. Please decide yourself.');
		return preview;
	}

	/** It is on purpose: the check says no more of it, at its items or in the whole class. */
	silence({ checkId, places }: Finding, reason: string, wholeClass = false): void {
		const items = wholeClass ? [] : places.flatMap(({ itemId }) => (itemId ? [itemId] : []));
		const edits: PlanEdit[] = items.length
			? items.map((itemId) => ({ do: 'silence', check: checkId, itemId, reason }))
			: [{ do: 'silence', check: checkId, reason }];
		this.document.edit(edits, 'Kept with your reason');
	}

	/** The check is not wanted at all, in no class of this teacher. */
	async silenceForGood({ checkId }: Finding, reason: string): Promise<void> {
		const answer = await silenceCheck(checkId, reason);
		if (!answer.ok) return this.document.say(answer.messages.join(' '));
		const others = this.document.silencedChecks.filter(({ check }) => check !== checkId);
		this.document.silencedChecks = [...others, { check: checkId, reason }];
		this.document.say('Silenced in all of your classes; the page Style lists it');
	}

	async askAgainForGood({ checkId }: Finding): Promise<void> {
		const answer = await askCheckAgain(checkId);
		if (!answer.ok) return this.document.say(answer.messages.join(' '));
		this.document.silencedChecks = this.document.silencedChecks.filter(({ check }) => check !== checkId);
		this.document.say('Asked again in all of your classes');
	}

	unsilence({ checkId, where }: Finding): void {
		const edits: PlanEdit[] = [{ do: 'unsilence', check: checkId }];
		if (where.itemId) edits.push({ do: 'unsilence', check: checkId, itemId: where.itemId });
		this.document.edit(edits, 'Asked again');
	}

	take({ repair }: Preview): void {
		this.document.edit(repair.edits, repair.label);
	}
}
