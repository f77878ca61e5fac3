import { previewRepair, type Finding, type Preview } from '$lib/core/checks';
import type { PlanEdit } from '$lib/core/plan';
import type { PlanDocument } from './plan-document.svelte';

/** What is done with findings: mending them, and saying that they are on purpose. */
export class Repairs {
	constructor(private readonly document: PlanDocument) {}

	/** What would mend a finding, and what that would change; says so when nothing is ready. */
	preview(finding: Finding): Preview | null {
		const preview = previewRepair(finding, this.document.analysis.context);
		if (!preview)
			this.document.say('There is no ready repair for this plan that makes nothing worse; it takes your eye');
		return preview;
	}

	/** It is on purpose: the check says no more of it, at its item or over the class. */
	silence({ checkId, where }: Finding, reason: string): void {
		this.document.edit(
			{ do: 'silence', check: checkId, ...(where.itemId ? { itemId: where.itemId } : {}), reason },
			'Noted as on purpose'
		);
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
