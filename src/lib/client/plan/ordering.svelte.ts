import { formatDuration } from '$lib/core/clock';
import type { Calmed } from '$lib/core/ordering';
import { inWorker, type WorkerTask } from '../worker/worker';
import type { PlanDocument } from './plan-document.svelte';

/** The calmest order of the same blocks: looked for off the main thread, and shown before it is taken. */
export class Ordering {
	work = $state.raw<WorkerTask<Calmed> | null>(null);
	found = $state.raw<Calmed | null>(null);

	constructor(private readonly document: PlanDocument) {
		document.session.whenChanged(() => this.leave());
	}

	async look(): Promise<void> {
		const { plan, besides, context } = this.document;
		this.work = inWorker((core) => core.calm(plan, besides, context.pace));
		const outcome = await this.work.result;
		this.work = null;
		if (outcome.how === 'failed') this.document.say(outcome.sentence);
		if (outcome.how !== 'done' || plan !== this.document.plan) return;
		const { beforeSeconds, afterSeconds } = outcome.value;
		if (beforeSeconds - afterSeconds <= 0) this.document.say('No other order takes less time between blocks');
		else this.found = outcome.value;
	}

	take(): void {
		if (!this.found) return;
		const { beforeSeconds, afterSeconds, order } = this.found;
		const saved = formatDuration(beforeSeconds - afterSeconds);
		this.document.edit({ do: 'reorder', order }, `Reordered: ${saved} less between blocks`);
	}

	leave(): void {
		this.found = null;
	}
}
