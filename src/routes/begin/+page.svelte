<script lang="ts">
	import { goto } from '$app/navigation';
	import { Onboarding, ONBOARDING_STEPS, type OnboardingAnswers } from '$lib/client/begin/onboarding.svelte';
	import { meetingWords } from '$lib/core/group';
	import { minutesOfLength } from '$lib/core/plan';
	import FirstClass from '$lib/ui/begin/FirstClass.svelte';
	import WhenAndWhat from '$lib/ui/begin/WhenAndWhat.svelte';
	import WhoComes from '$lib/ui/begin/WhoComes.svelte';
	import { Button, ProgressIndicator, ProgressStep } from 'carbon-components-svelte';
	import { onDestroy, tick, untrack } from 'svelte';

	let { data } = $props();
	const beginning = new Onboarding(untrack(() => data.context));
	// a page that is left and come back to knows what was said
	export const snapshot = {
		capture: (): OnboardingAnswers => beginning.said(),
		restore: (said: OnboardingAnswers) => beginning.comeBack(said)
	};

	onDestroy(() => beginning.stop());

	let heading = $state<HTMLElement>();
	/** Whoever reads by ear is told which step comes now. */
	async function goTo(step: number) {
		beginning.goTo(step);
		await tick();
		heading?.focus();
	}

	function skip() {
		beginning.asUsual();
		return goTo(beginning.step + 1);
	}

	const group = $derived(beginning.group);
	/** Answers of each finished step. */
	const said = $derived([
		`${group.name}, ${group.size} people`,
		`${meetingWords(group)}, ${minutesOfLength(group.lengthSeconds)} min`,
		''
	]);

	async function keep(wanted: 'class' | 'group', print = false) {
		const kept = await beginning.keep(wanted);
		if (!kept) return;
		const path = kept.planId ? `/plan/${kept.planId}${print ? '/print' : ''}` : `/group/${kept.id}`;
		await goto(path);
	}
</script>

<svelte:head><title>Begin · Humble Orbit</title></svelte:head>

<div class="top">
	<h1>Your first class in three steps</h1>
	<a href="/">Not now</a>
</div>

<div class="steps">
	<ProgressIndicator currentIndex={beginning.step} preventChangeOnClick spaceEqually>
		{#each ONBOARDING_STEPS as label, index (label)}
			<ProgressStep
				{label}
				secondaryLabel={index < beginning.step ? said[index] : ''}
				complete={index < beginning.step}
				disabled={index > beginning.step}
				on:click={() => index < beginning.step && goTo(index)}
			/>
		{/each}
	</ProgressIndicator>
</div>

<section class="sheet" aria-labelledby="step">
	<h2 id="step" tabindex="-1" bind:this={heading}>{ONBOARDING_STEPS[beginning.step]}</h2>
	{#if beginning.step === 0}
		<WhoComes {beginning} presets={data.presets} />
	{:else if beginning.step === 1}
		<WhenAndWhat {beginning} />
	{:else}
		<FirstClass {beginning} onkeep={keep} />
	{/if}
	{#if beginning.trouble}<p class="trouble" role="alert">{beginning.trouble}</p>{/if}
	<div class="act">
		{#if beginning.step > 0}
			<Button kind="tertiary" size="small" on:click={() => goTo(beginning.step - 1)}>Back</Button>
		{/if}
		{#if beginning.step < 2}
			<Button size="small" disabled={!group.name.trim()} on:click={() => goTo(beginning.step + 1)}
				>{beginning.step === 0 ? 'Next' : 'Propose a class'}</Button
			>
			<Button kind="ghost" size="small" on:click={skip}>Skip this step</Button>
		{:else}
			<Button kind="ghost" size="small" disabled={beginning.keeping} on:click={() => keep('group')}
				>Skip: only the group</Button
			>
		{/if}
	</div>
</section>

<style>
	h2:focus {
		outline: none;
	}
	.top,
	.act {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0.75rem 1.5rem;
	}
	.top {
		margin-bottom: 1.25rem;
	}
	.steps :global(.bx--progress-step) {
		min-width: 0;
	}
	/* three names side by side on a phone: the one of the step that is on, the signs of the others */
	@media (max-width: 40rem) {
		.steps
			:global(
				.bx--progress-step:not(.bx--progress-step--current) :is(.bx--progress-label, .bx--progress-optional)
			) {
			position: absolute;
			width: 1px;
			height: 1px;
			overflow: hidden;
			clip-path: inset(50%);
		}
		.steps :global(.bx--progress-step--current .bx--progress-label) {
			max-width: none;
		}
	}
	section {
		display: grid;
		gap: 1rem;
		margin-top: 1.75rem;
	}
	.trouble {
		font-weight: 600;
		color: var(--stop);
	}
</style>
