import type { ClassPlan } from '$lib/core/plan';
import { DocumentSession, type Saving } from '../saving/document-session.svelte';
import { Alternatives } from './alternatives.svelte';
import { WholeClassChanges } from './changes.svelte';
import { BlockCommands } from './block-commands';
import { Fitting } from './fitting.svelte';
import { ItemCommands } from './item-commands';
import { Ordering } from './ordering.svelte';
import { PlanDocument, type DeskContext } from './plan-document.svelte';
import { Proposals } from './proposals.svelte';
import { Repairs } from './repairs';
import { Selection } from './selection.svelte';

/** The desk of one class: its document, and what can be done with it. Components are given the parts that they need. */
export class PlanDesk {
	readonly session: DocumentSession<ClassPlan>;
	readonly document: PlanDocument;
	readonly selection: Selection;
	readonly blocks: BlockCommands;
	readonly items: ItemCommands;
	readonly repairs: Repairs;
	readonly fitting: Fitting;
	readonly ordering: Ordering;
	readonly proposals: Proposals;
	readonly changes: WholeClassChanges;
	readonly alternatives: Alternatives;

	constructor(plan: ClassPlan, context: DeskContext, saving: Saving<ClassPlan>) {
		this.session = new DocumentSession(plan, saving);
		this.document = new PlanDocument(this.session, context);
		this.selection = new Selection(this.document);
		this.blocks = new BlockCommands(this.document, this.selection);
		this.items = new ItemCommands(this.document, this.selection);
		this.repairs = new Repairs(this.document);
		this.fitting = new Fitting(this.document);
		this.ordering = new Ordering(this.document);
		this.proposals = new Proposals(this.document);
		this.changes = new WholeClassChanges(this.document);
		this.alternatives = new Alternatives(this.document);
	}
}
