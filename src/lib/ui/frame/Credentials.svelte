<script lang="ts">
	import { InlineNotification, PasswordInput, TextInput } from 'carbon-components-svelte';

	interface Props {
		/** What came back from the server: what was typed, and what is wrong with it. */
		form: { email?: string; message?: string; errors?: Record<string, string | undefined> } | null;
		/** A new account is opened, with a password of its own. */
		opening?: boolean;
	}
	let { form, opening = false }: Props = $props();
</script>

<TextInput
	id="email"
	name="email"
	type="email"
	labelText="E-mail"
	autocomplete="username"
	value={form?.email ?? ''}
	invalid={Boolean(form?.errors?.email)}
	invalidText={form?.errors?.email ?? ''}
/>
<PasswordInput
	id="password"
	name="password"
	labelText="Password"
	helperText={opening ? 'At least 10 characters; a short sentence is good.' : ''}
	autocomplete={opening ? 'new-password' : 'current-password'}
	invalid={Boolean(form?.errors?.password)}
	invalidText={form?.errors?.password ?? ''}
/>
{#if form?.message}
	<InlineNotification
		lowContrast
		hideCloseButton
		kind="error"
		title={opening ? 'Not opened.' : 'Not signed in.'}
		subtitle={form.message}
	/>
{/if}
