<script lang="ts">
	import { enhance } from '$app/forms';
	import { CheckedForm } from '$lib/client/page/checked-form.svelte';
	import { accountSchema } from '$lib/core/people';
	import { Button, TextInput } from 'carbon-components-svelte';
	import Credentials from '$lib/ui/frame/Credentials.svelte';

	let { form } = $props();
	const checked = new CheckedForm(accountSchema, () => form);
</script>

<svelte:head><title>Create an account · Humble Orbit</title></svelte:head>

<section class="sheet">
	<h1>Create an account</h1>
	<form method="POST" use:enhance={checked.send} {@attach checked.watch}>
		<TextInput
			id="name"
			name="name"
			labelText="Your name"
			autocomplete="name"
			value={form?.name ?? ''}
			invalid={checked.error('name') !== ''}
			invalidText={checked.error('name')}
		/>
		<Credentials {form} {checked} opening />
		<Button type="submit">Create the account</Button>
	</form>
	<p class="quiet">It comes with a studio. Do you have an account already? <a href="/sign-in">Sign in</a></p>
</section>

<style>
	section {
		max-width: 22.5rem;
		margin: 3rem auto 0;
	}
	section,
	form {
		display: grid;
		gap: 1rem;
	}
</style>
