<script lang="ts">
	import type { CheckedForm } from '$lib/client/page/checked-form.svelte';
	import { LEAST_PASSWORD_CHARACTERS } from '$lib/core/people';
	import { InlineNotification, PasswordInput, TextInput } from 'carbon-components-svelte';

	interface Props {
		/** The server's answer: the typed values, and the error. */
		form: { email?: string; message?: string } | null;
		checked: CheckedForm;
		/** A new account is opened, with a password of its own. */
		opening?: boolean;
	}
	let { form, checked, opening = false }: Props = $props();
</script>

<TextInput
	id="email"
	name="email"
	type="email"
	labelText="E-mail"
	autocomplete="username"
	value={form?.email ?? ''}
	invalid={checked.error('email') !== ''}
	invalidText={checked.error('email')}
/>
<PasswordInput
	id="password"
	name="password"
	labelText="Password"
	helperText={opening ? `At least ${LEAST_PASSWORD_CHARACTERS} characters; a short sentence is good.` : ''}
	autocomplete={opening ? 'new-password' : 'current-password'}
	invalid={checked.error('password') !== ''}
	invalidText={checked.error('password')}
/>
{#if form?.message}
	<InlineNotification
		lowContrast
		hideCloseButton
		kind="error"
		title={opening ? 'No account was created.' : 'Not signed in.'}
		subtitle={form.message}
	/>
{/if}
