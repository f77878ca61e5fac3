import {
	nextMeeting,
	newGroup,
	preset,
	usualTiers,
	type Group,
	type Kit,
	type PresetId
} from '$lib/core/group';
import { create, type Answer } from '../api';
import type { ShownProposal } from '../plan/proposals.svelte';
import type { WorkerTask } from '../worker/worker';
import type { Teaching } from './first-class';

export const ONBOARDING_STEPS = ['Who comes', 'When, and with what', 'The first class'] as const;

const NOT_LOADED =
	'This part of the page did not load. Your answers are kept. Check the connection and try again.';

/** Data that the first steps need. */
export interface OnboardingContext extends Teaching {
	/** The studio's day. */
	today: string;
	kit: { version: number; kit: Kit };
}

/** Answers so far: kept while the teacher leaves the page and comes back. */
export interface OnboardingAnswers {
	step: number;
	group: Group;
	kit: Kit;
	day: string | null;
}

/**
 * The first group with its first class, in three steps. Nothing is sent before the last: until then each step can be
 * changed, skipped or left.
 */
export class Onboarding {
	step = $state(0);
	group = $state.raw(newGroup('general', nameOf('general')));
	kit = $state.raw<Kit>({});
	/** The day of the first class where one was picked. */
	picked = $state<string | null>(null);
	readonly day = $derived.by(() => this.picked ?? nextMeeting(this.group, this.context.today));
	proposal = $state.raw<ShownProposal | null>(null);
	/** The problem that stops the step, in one sentence. */
	trouble = $state('');
	work = $state.raw<WorkerTask<string | null> | null>(null);
	keeping = $state(false);
	private seed = 0;

	constructor(private readonly context: OnboardingContext) {
		this.kit = context.kit.kit;
	}

	/** The group as it would be kept. */
	private get asKept(): Group {
		return { ...this.group, sharesKit: true, kit: this.kit };
	}

	/** Everything that a preset says of a group; a name that was typed stays. */
	usePreset(id: PresetId): void {
		const { name, preset: before, size, tiers, cautions } = this.group;
		const isTyped = name !== nameOf(before);
		const kept = { size, tiers, cautions, ...whenOf(this.group) };
		this.group = { ...newGroup(id, isTyped ? name : nameOf(id)), ...kept };
	}

	change(change: Partial<Group>): void {
		this.group = { ...this.group, ...change };
	}

	/** How many come, made up as usual until the group's page says otherwise. */
	setSize(size: number): void {
		this.change({ size, tiers: usualTiers(size) });
	}

	goTo(step: number): void {
		this.step = step;
		this.trouble = '';
		if (step === 2) void this.propose();
		else this.stop();
	}

	/** Puts what is usual in place of what was said in this step. */
	asUsual(): void {
		const usual = newGroup(this.group.preset, nameOf(this.group.preset));
		if (this.step === 0) this.group = { ...newGroup('general', nameOf('general')), ...whenOf(this.group) };
		else {
			this.change(whenOf(usual));
			this.picked = null;
			this.kit = this.context.kit.kit;
		}
	}

	async propose(): Promise<void> {
		this.stop();
		this.seed++;
		this.trouble = '';
		const core = await this.loaded();
		if (!core || this.step !== 2) return; // gone back meanwhile
		const work = core.proposeFirst(this.asKept, this.day, this.context, this.seed, (proposal) => {
			if (this.work === work) this.proposal = proposal;
		});
		this.work = work;
		const outcome = await work.result;
		if (this.work !== work) return;
		this.work = null;
		if (outcome.how === 'failed') this.trouble = outcome.sentence;
		else if (outcome.how === 'done' && outcome.value) this.trouble = `${outcome.value}.`;
	}

	/** Loads the module of the last step when it is needed; null where loading fails. */
	private async loaded(): Promise<typeof import('./first-class') | null> {
		try {
			return await import('./first-class');
		} catch {
			this.trouble = NOT_LOADED;
			return null;
		}
	}

	/** Ends what is looked for; also when the page is left. */
	stop(): void {
		this.work?.stop();
		this.work = null;
		this.proposal = null;
	}

	/** Keeps the group, and the class where one is wanted; where to go on then, or null when it was not taken. */
	async keep(wanted: 'class' | 'group'): Promise<{ id: string; planId: string | null } | null> {
		const { proposal } = this;
		const core = await this.loaded();
		if (!core) return null;
		this.keeping = true;
		const answer: Answer<{ id: string; planId: string | null }> = await create('/api/groups', {
			...core.asSent(this.asKept, wanted === 'class' ? proposal : null),
			kit: this.kit,
			kitVersion: this.context.kit.version,
			plannedOn: this.day
		});
		this.keeping = false;
		if (answer.ok) return answer.value;
		this.trouble = answer.messages.join(' ');
		return null;
	}

	said(): OnboardingAnswers {
		return { step: this.step, group: this.group, kit: this.kit, day: this.picked };
	}

	comeBack({ step, group, kit, day }: OnboardingAnswers): void {
		this.group = group;
		this.kit = kit;
		this.picked = day;
		this.goTo(step);
	}
}

/** Returns the fields of a group that the second step asks for. */
const whenOf = ({ weekday, startsAt, alsoMeets, lengthSeconds, moment }: Group): Partial<Group> => ({
	weekday,
	startsAt,
	alsoMeets: alsoMeets ?? [],
	lengthSeconds,
	moment
});

const nameOf = (id: PresetId): string => (id === 'general' ? 'Mixed group' : preset(id).label);
