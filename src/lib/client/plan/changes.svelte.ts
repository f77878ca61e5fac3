import { counted } from '$lib/core/text';
import type { PlanEdit } from '$lib/core/plan';
import { CHANGE_WORDS, type ChangedClass, type ChangeId } from '$lib/core/propose';
import { shiftsBetween, type Shift } from '$lib/core/view-models';
import { inWorker, type WorkerTask } from '../worker/worker';
import type { PlanDocument } from './plan-document.svelte';
import { proposeTask } from './proposals.svelte';

/** A change that was worked out, with its before and after. */
export interface ShownChange {
	change: ChangeId;
	changed: ChangedClass;
	totalBefore: string;
	totalAfter: string;
	shifts: Shift[];
}

/** The whole class made harder, quieter, shorter and so on, as one edit. */
export class WholeClassChanges {
	work = $state.raw<WorkerTask<ChangedClass | null> | null>(null);
	/** Which one was asked for last. */
	asked = $state.raw<ChangeId | null>(null);
	found = $state.raw<ShownChange | null>(null);

	constructor(private readonly document: PlanDocument) {
		document.session.whenChanged(() => this.leave());
	}

	async look(change: ChangeId): Promise<void> {
		const { plan, analysis } = this.document;
		this.leave();
		this.asked = change;
		const ask = proposeTask(this.document, {}, 1);
		const work = inWorker((core) => core.change(ask, change));
		this.work = work;
		const outcome = await work.result;
		if (this.work !== work || plan !== this.document.plan) return; // edited or asked anew meanwhile
		this.work = null;
		if (outcome.how === 'failed') this.document.say(outcome.sentence);
		if (outcome.how !== 'done') return;
		const changed = outcome.value;
		if (!changed) {
			this.document.say(`${CHANGE_WORDS[change]}: nothing in this class can be changed that way`);
			return;
		}
		this.found = { change, changed, ...shiftsBetween(analysis, this.document.read(changed.plan), 1) };
		const { length } = changed.became;
		this.document.say(`${CHANGE_WORDS[change]}: ${counted(length, 'item')} would change`);
	}

	take(): void {
		if (!this.found) return;
		const { change, changed } = this.found;
		const { sections, lengthSeconds } = changed.plan;
		const length: PlanEdit[] =
			lengthSeconds === this.document.plan.lengthSeconds
				? []
				: [{ do: 'setPlan', change: { lengthSeconds } }];
		this.document.edit(
			[{ do: 'replaceSections', sections }, ...length],
			`${CHANGE_WORDS[change]}: done; undo takes it back`
		);
		this.leave();
	}

	leave(): void {
		const { work } = this;
		this.work = null;
		this.found = null;
		work?.stop();
	}
}
