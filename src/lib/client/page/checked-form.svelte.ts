import type { SubmitFunction } from '@sveltejs/kit';
import { tick } from 'svelte';
import type { Attachment } from 'svelte/attachments';
import type { Schema } from 'yup';
import { fieldError, formErrors } from '$lib/core/validation';

type Errors = Readonly<Record<string, string | undefined>>;

const valuesOf = (form: HTMLFormElement) => Object.fromEntries(new FormData(form));

/**
 * A form of a page that is checked by the schema that the server checks it by: each field when it is left, those that
 * are marked wrong again at each key, and all of them before it is sent. Works without this too: then the server says it.
 */
export class CheckedForm {
	/** Errors found here since the server's last answer, by field. */
	private own = $state.raw<Errors>({});
	private answered: unknown;

	constructor(
		private readonly schema: Schema,
		/** The server's last answer. */
		private readonly answer: () => { errors?: Errors } | null
	) {}

	/** Returns the error of a field; empty where there is none. */
	error(field: string): string {
		const answer = this.answer();
		return this.own[field] ?? (answer === this.answered ? '' : (answer?.errors?.[field] ?? ''));
	}

	/** For the form: looks at each field that is left with something in it. */
	readonly watch: Attachment<HTMLFormElement> = (form) => {
		const look = (event: Event) => {
			const { name, value } = event.target as HTMLInputElement;
			const isLeft = event.type === 'focusout';
			if (!name || (isLeft ? !value : !this.error(name))) return;
			this.own = { ...this.own, [name]: fieldError(this.schema, valuesOf(form), name) };
		};
		form.addEventListener('focusout', look);
		form.addEventListener('input', look);
		return () => {
			form.removeEventListener('focusout', look);
			form.removeEventListener('input', look);
		};
	};

	/** For `use:enhance`: what is wrong is not sent, and the first such field gets the focus. */
	readonly send: SubmitFunction = ({ formElement, cancel }) => {
		this.own = formErrors(this.schema, valuesOf(formElement)) ?? {};
		// the server's last answer concerns the values typed before
		this.answered = this.answer();
		if (Object.keys(this.own).length === 0) return;
		cancel();
		void tick().then(() => formElement.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
	};
}
