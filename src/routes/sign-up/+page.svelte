<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button, InlineNotification, PasswordInput, TextInput } from 'carbon-components-svelte';

	let { form } = $props();
</script>

<svelte:head><title>Open an account · Humble Orbit</title></svelte:head>

<section class="sheet">
	<h1>Open an account</h1>
	<form method="POST" use:enhance>
		<TextInput
			id="name"
			name="name"
			labelText="Your name"
			autocomplete="name"
			value={form?.name ?? ''}
			invalid={Boolean(form?.errors?.name)}
			invalidText={form?.errors?.name ?? ''}
		/>
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
			helperText="At least 10 characters; a short sentence is good."
			autocomplete="new-password"
			invalid={Boolean(form?.errors?.password)}
			invalidText={form?.errors?.password ?? ''}
		/>
		{#if form?.message}
			<InlineNotification
				lowContrast
				hideCloseButton
				kind="error"
				title="Not opened."
				subtitle={form.message}
			/>
		{/if}
		<Button type="submit">Open the account</Button>
	</form>
	<p class="quiet">Your studio is made with it. Have one already? <a href="/sign-in">Sign in</a></p>
</section>

<style>
	section {
		max-width: 26rem;
		margin: 3rem auto 0;
	}
	section,
	form {
		display: grid;
		gap: 1rem;
	}
</style>
