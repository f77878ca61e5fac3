<script lang="ts">
	import { enhance } from '$app/forms';
	import { CheckedForm } from '$lib/client/page/checked-form.svelte';
	import { signInSchema } from '$lib/core/people';
	import { Button, InlineNotification } from 'carbon-components-svelte';
	import Credentials from '$lib/ui/frame/Credentials.svelte';

	let { data, form } = $props();
	const checked = new CheckedForm(signInSchema, () => form);
</script>

<svelte:head><title>Sign in · Humble Orbit</title></svelte:head>

<div class="door">
	<section class="sheet">
		<h1>Sign in</h1>
		{#if data.opened}
			<InlineNotification
				kind="success"
				lowContrast
				hideCloseButton
				title="Your account is ready"
				subtitle="Sign in with the e-mail and password that you chose. If an account with this e-mail existed before, its old password is still valid."
			/>
		{/if}
		<form method="POST" action="?/enter{data.next}" use:enhance={checked.send} {@attach checked.watch}>
			<Credentials {form} {checked} />
			<Button type="submit">Sign in</Button>
		</form>
		<p class="quiet">New here? <a href="/sign-up">Create an account</a></p>
	</section>
	{#if data.demo}
		<section class="sheet demo">
			<h2>Only looking?</h2>
			<p>
				The Saltmarsh Loft is an invented studio above a sail repair shop, with five groups and a week of
				classes. You can change everything in it.
			</p>
			<form method="POST" action="?/demo{data.next}" use:enhance>
				<Button type="submit" kind="tertiary">Enter the demo studio</Button>
			</form>
		</section>
	{/if}
	<p class="quiet promise">
		Humble Orbit plans classes. It is not a medical device: pain means stop, and what is unclear, new or
		severe belongs to a doctor or physiotherapist.
	</p>
</div>

<style>
	.door {
		max-width: 46rem;
		margin: 3rem auto 0;
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(19rem, 1fr));
		gap: 1.25rem;
		align-items: start;
	}
	section,
	form {
		display: grid;
		gap: 1rem;
	}
	.promise {
		grid-column: 1 / -1;
	}
</style>
