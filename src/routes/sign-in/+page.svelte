<script lang="ts">
	import { enhance } from '$app/forms';
	import { Button, InlineNotification, PasswordInput, TextInput } from 'carbon-components-svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Sign in · Humble Orbit</title></svelte:head>

<div class="door">
	<section class="sheet">
		<h1>Sign in</h1>
		<form method="POST" action="?/enter{data.next}" use:enhance>
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
				autocomplete="current-password"
				invalid={Boolean(form?.errors?.password)}
				invalidText={form?.errors?.password ?? ''}
			/>
			{#if form?.message}
				<InlineNotification
					lowContrast
					hideCloseButton
					kind="error"
					title="Not signed in."
					subtitle={form.message}
				/>
			{/if}
			<Button type="submit">Sign in</Button>
		</form>
		<p class="quiet">New here? <a href="/sign-up">Open an account</a></p>
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
