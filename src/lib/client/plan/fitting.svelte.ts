import { counted } from '$lib/core/text';
import { formatDuration } from '$lib/core/clock';
import type { FitResult } from '$lib/core/fit';
import { inWorker } from '../worker/worker';
import type { PlanDocument } from './plan-document.svelte';

/** Brings the class to exactly its length, off the main thread. */
export class Fitting {
	busy = $state(false);

	constructor(private readonly document: PlanDocument) {}

	async fit(): Promise<void> {
		const { plan, besides, context } = this.document;
		this.busy = true;
		const outcome = await inWorker((core) => core.fit(plan, besides, context.pace) as Promise<FitResult>)
			.result;
		this.busy = false;
		if (outcome.how === 'failed') this.document.say(outcome.sentence);
		if (outcome.how !== 'done' || plan !== this.document.plan) return; // edited meanwhile: it is out of date
		const result = outcome.value;
		if (!result.ok) {
			this.document.say(`It cannot fit: ${result.message}.`);
			return;
		}
		const count = result.changed.length;
		const length = formatDuration(result.totalSeconds);
		if (count === 0) this.document.say(`It is ${length} already`);
		else
			this.document.edit(
				{ do: 'setDoses', doses: result.doses, toLength: true },
				`Fitted to ${length}: ${counted(count, 'dose')} changed`
			);
	}
}
