<script lang="ts">
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
				{#if mine && mine[id] !== style[id]}<span class="tag">otherwise than usual</span>{/if}
			</legend>
			{#each question.schools as school (school.id)}
				<label>
					<input
						type="radio"
						name="{name}-{id}"
						checked={style[id] === school.id}
						onchange={() => choose(id, school.id)}
					/>
					<span><b>{school.label}</b> <span class="quiet">{school.line}</span></span>
				</label>
			{/each}
			<p class="quiet">Changes {question.changes}.</p>
		</fieldset>
	{/each}
</div>

<style>
	.questions {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(20rem, 1fr));
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
	label {
		display: flex;
		gap: 0.5rem;
		align-items: baseline;
		padding: 0.15rem 0;
		min-height: 24px;
	}
	input {
		accent-color: var(--accent);
	}
	.tag {
		font-size: var(--text-xs);
		font-weight: 500;
		background: var(--accent-tint);
		border-radius: 999px;
		padding: 0.05rem 0.5rem;
	}
</style>
