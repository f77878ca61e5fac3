<script lang="ts">
	import { plural } from '$lib/core/text';
	import { Autosave } from '$lib/client/saving/autosave.svelte';
	import { styleForm } from '$lib/client/saving/documents';
	import {
		learnedWords,
		paceChangesOf,
		paceOf,
		provenanceWords,
		withLearning,
		withPaceSaid
	} from '$lib/core/pace';
	import type { TeacherStyle } from '$lib/core/style';
	import LetterKeysToggle from '$lib/ui/fields/LetterKeysToggle.svelte';
	import KeepSaved from '$lib/ui/saving/KeepSaved.svelte';
	import PacePanel from '$lib/ui/plan/PacePanel.svelte';
	import SilencedChecks from '$lib/ui/plan/SilencedChecks.svelte';
	import SaveMark from '$lib/ui/saving/SaveMark.svelte';
	import Fold from '$lib/ui/fields/Fold.svelte';
	import Tick from '$lib/ui/fields/Tick.svelte';
	import StylePanel from '$lib/ui/plan/StylePanel.svelte';
	import { untrack } from 'svelte';

	let { data } = $props();
	const stored = untrack(() => data.stored);
	const autosave = new Autosave<TeacherStyle>(
		'/api/style',
		{ version: stored.version },
		untrack(() => data.owner),
		styleForm
	);
	let style = $state.raw<TeacherStyle>(stored.style);

	function change(next: TeacherStyle) {
		style = next;
		autosave.changed(next);
	}
	/** The pace that was set, with the pace that the classes of this teacher show. */
	const pace = $derived(
		data.learned && style.pace.learns !== false ? { ...style.pace, learned: data.learned } : style.pace
	);
	const learned = $derived(learnedWords(pace));
	const whence = $derived(provenanceWords(pace));
	const movements = $derived(style.pace.learns === false ? [] : data.movements);
	const inShort = (s: TeacherStyle) => [
		`${Object.keys(s.choices).length} questions answered`,
		`${Object.keys(paceChangesOf(s.pace)).length} figures of your own`
	];
</script>

<svelte:head><title>Your style · Humble Orbit</title></svelte:head>

<div class="head">
	<h1>Your style</h1>
	<SaveMark state={autosave.state} faults={autosave.faults} kept={autosave.kept} />
</div>
<p class="lead">
	Where schools of teaching differ, new classes start with these choices; existing classes stay as they are.
	Your pace applies to all of your classes, except where you set it in a class.
</p>

<KeepSaved {autosave} mine={style} what="Your style" {inShort} ontake={(other) => (style = other)} />

<section class="sheet" aria-labelledby="schools">
	<h2 id="schools">Schools</h2>
	<StylePanel
		choices={style.choices}
		onchange={(choice) => change({ ...style, choices: { ...style.choices, ...choice } })}
	/>
</section>
<section class="sheet" aria-labelledby="pace">
	<h2 id="pace">Pace</h2>
	<p class="quiet">
		The usual figures come from the timings of 21 taught classes. Figures from your own classes replace them,
		and figures that you type replace both. Empty a field to return to the learned or usual figure.
	</p>
	{#if learned && style.pace.learns !== false}
		<p data-testid="learned">{learned}</p>
	{:else if style.pace.learns !== false}
		<p class="quiet">Nothing is learned yet. Teach a class with Teach, or record how long one took.</p>
	{/if}
	<Tick
		label="Learn my pace from the classes that I record"
		checked={style.pace.learns !== false}
		onchange={(learns) => change({ ...style, pace: withLearning(style.pace, learns) })}
	/>
	{#if movements.length && style.pace.learns !== false}
		<Fold title="Movements that take longer or shorter with you ({movements.length})">
			<ul>
				{#each movements as { slug, english, percent, times } (slug)}
					<li>
						{english}: {Math.abs(percent)} % {percent > 0 ? 'longer' : 'shorter'}, from {times}
						{plural(times, 'class', 'classes')}
					</li>
				{/each}
			</ul>
		</Fold>
	{/if}
	<PacePanel
		own={paceChangesOf(style.pace)}
		kind={style.pace.classKind}
		usual={paceOf({ ...pace, figures: {} })}
		usualWords="usual"
		{whence}
		onchange={(said) => change({ ...style, pace: withPaceSaid(style.pace, said) })}
	/>
</section>

<section class="sheet" aria-labelledby="silenced">
	<h2 id="silenced">Silenced checks</h2>
	<SilencedChecks silenced={data.silenced} />
</section>
<section class="sheet" aria-labelledby="keys">
	<h2 id="keys">Keys</h2>
	<LetterKeysToggle />
</section>

<style>
	.head {
		display: flex;
		align-items: baseline;
		gap: 1.5rem;
	}
	.lead {
		margin: 0.25rem 0 1rem;
		max-width: 60ch;
	}
	section {
		display: grid;
		gap: 0.75rem;
		margin-bottom: 1rem;
	}
</style>
