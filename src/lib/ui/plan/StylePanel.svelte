<script lang="ts">
	import { RadioButton, RadioButtonGroup } from 'carbon-components-svelte';
	import { QUESTION_IDS, questionOf, styleOf, type QuestionId, type StyleChoices } from '$lib/core/style';

	/** Every question on which the schools differ, with what each holds; what is chosen is handed up. */
	interface Props {
		choices: StyleChoices;
		/** The teacher's own, where this is the style of one class. */
		usual?: StyleChoices;
		onchange: (change: StyleChoices) => void;
	}
	let { choices, usual, onchange }: Props = $props();

	const style = $derived(styleOf(choices));
	const mine = $derived(usual && styleOf(usual));
	const choose = (id: QuestionId, school: string) => onchange({ [id]: school } as StyleChoices);
	const name = $props.id();
</script>

<div class="questions">
	{#each QUESTION_IDS as id (id)}
		{@const question = questionOf(id)}
		<fieldset>
			<legend>
				{question.ask}
				{#if mine && mine[id] !== style[id]}<span class="tag">differs from your style</span>{/if}
			</legend>
			<RadioButtonGroup
				orientation="vertical"
				name="{name}-{id}"
				hideLegend
				legendText={question.ask}
				selected={style[id]}
				on:change={(event) => choose(id, String(event.detail))}
			>
				{#each question.schools as school, at (school.id)}
					<RadioButton id="{name}-{id}-{at}" value={school.id}>
						<span slot="labelChildren"><b>{school.label}</b> <span class="quiet">{school.line}</span></span>
					</RadioButton>
				{/each}
			</RadioButtonGroup>
			<p class="quiet">Changes {question.changes}.</p>
		</fieldset>
	{/each}
</div>

<style>
	.questions {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(20rem, 100%), 1fr));
		gap: 0.75rem;
	}
	fieldset {
		border: 1px solid var(--line);
		border-radius: 10px;
		padding: 0.4rem 0.8rem 0.6rem;
		margin: 0;
		display: grid;
		gap: 0.15rem;
		align-content: start;
	}
	legend {
		font-weight: 650;
		padding: 0 0.3rem;
	}
	.tag {
		font-size: var(--text-xs);
		font-weight: 500;
		background: var(--accent-tint);
		border-radius: 999px;
		padding: 0.05rem 0.5rem;
	}
</style>
