import { copyOf, PLAN, PLAN_LIMITS, type ClassPlan } from '$lib/core/plan';
import { withVersion } from '$lib/core/validation';
import { create } from '../api';

/** Where copies of a class are kept: its group and its day. */
interface PlaceOfPlan {
	groupId: string;
	plannedOn: string | null;
}

/** Saves copies of the class on the desk on the server: beside it, as a new class, or as a template. */
export class Copies {
	constructor(
		private readonly place: PlaceOfPlan,
		private readonly say: (sentence: string) => void
	) {}

	/** Adds a plan beside this one; returns its id, null when the server did not take it. */
	private async add(plan: ClassPlan, suffix: string, plannedOn: string | null): Promise<string | null> {
		const title = `${plan.title} (${suffix})`.slice(0, PLAN_LIMITS.titleCharacters);
		const answer = await create<{ id: string }>('/api/plans', {
			groupId: this.place.groupId,
			plannedOn,
			plan: withVersion(PLAN, { ...plan, title })
		});
		return answer.ok ? answer.value.id : null;
	}

	/** Saves the version that is not chosen as a class of its own; returns false when the server did not take it. */
	async keepOther(plan: ClassPlan): Promise<boolean> {
		if (await this.add(plan, 'other version', this.place.plannedOn)) return true;
		this.say('The other version could not be saved, so nothing was changed. Try again.');
		return false;
	}

	/** Saves a class that was removed in another window as a new one; returns its address. */
	async keepAsNew(plan: ClassPlan): Promise<string | null> {
		const id = await this.add(plan, 'kept', this.place.plannedOn);
		return id && `/plan/${id}`;
	}

	/** Saves a copy without a day; returns its address. */
	async duplicate(plan: ClassPlan): Promise<string | null> {
		const id = await this.add(copyOf(plan), 'copy', null);
		if (!id) this.say('The copy could not be made. Try again.');
		return id && `/plan/${id}`;
	}

	/** Saves a copy as a template of the studio. */
	async keepAsTemplate(plan: ClassPlan): Promise<void> {
		const answer = await create('/api/templates', { plan: withVersion(PLAN, copyOf(plan)) });
		this.say(
			answer.ok
				? `Saved as a template: ${plan.title || 'Untitled class'}`
				: 'It could not be saved. Try again.'
		);
	}
}
