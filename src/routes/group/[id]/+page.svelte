<script lang="ts">
	import { Autosave } from '$lib/client/saving/autosave.svelte';
	import { groupForm } from '$lib/client/saving/documents';
	import type { Group } from '$lib/core/group';
	import KeepSaved from '$lib/ui/saving/KeepSaved.svelte';
	import GroupForm from '$lib/ui/group/GroupForm.svelte';
	import Ring from '$lib/ui/chart/Ring.svelte';
	import { Button } from 'carbon-components-svelte';
	import Lazy from '$lib/ui/frame/Lazy.svelte';
	import Hidden from '$lib/ui/primitives/Hidden.svelte';
	import StartPlan from '$lib/ui/plan/StartPlan.svelte';
	import SaveMark from '$lib/ui/saving/SaveMark.svelte';
	import Standing from '$lib/ui/plan/Standing.svelte';
	import Students from '$lib/ui/group/Students.svelte';
	import { untrack } from 'svelte';

	let { data, form } = $props();
	const stored = untrack(() => data.stored);
	const autosave = new Autosave<Group>(
		`/api/groups/${stored.id}`,
		{ version: stored.version },
		untrack(() => data.owner),
		groupForm
	);
	let group = $state.raw(stored.group);
	/** The day that a new class is for. */
	let day = $state(untrack(() => data.nextDay));

	function change(next: Group) {
		group = next;
		autosave.changed(next);
	}
	const inShort = (g: Group) => [g.name, `${g.size} people, ${g.cautions.length} cautions`];
</script>

<svelte:head><title>{group.name} · Humble Orbit</title></svelte:head>

<div class="head">
	<h1>{group.name || 'A group without a name'}</h1>
	<SaveMark state={autosave.state} faults={autosave.faults} kept={autosave.kept} />
</div>

<KeepSaved {autosave} mine={group} what="This group" {inShort} ontake={(other) => (group = other)} />

<GroupForm {group} studioKit={data.studioKit} onchange={change} />
<Students
	groupId={stored.id}
	stored={data.students}
	removed={data.removedStudents}
	keptDays={data.keptStudentDays}
	oncount={(counts) => change({ ...group, ...counts })}
/>

<section class="sheet plans" aria-labelledby="plans-title">
	{#if data.series.length}
		<h2>Series of this group</h2>
		<ul>
			{#each data.series as series (series.id)}
				<li>
					<a href="/series/{series.id}">{series.title}</a>
					<span class="quiet">{series.weeks} weeks from {series.from}</span>
				</li>
			{/each}
		</ul>
	{/if}
	<h2 id="plans-title">Classes of this group</h2>
	<p>
		<a href="/group/{data.stored.id}/taught">History: classes taught</a> ·
		<a href="/group/{data.stored.id}/check-in">Check-ins</a>
	</p>
	<ul>
		{#each data.plans as plan (plan.id)}
			<li>
				<Ring sectors={plan.ring} size={44} label="Balance of {plan.title}" />
				<a href="/plan/{plan.id}">{plan.title || 'Untitled class'}</a>
				<span class="quiet">{plan.day}</span>
				<Standing {plan} />
			</li>
		{:else}
			<li>None yet.</li>
		{/each}
	</ul>
	<div class="new">
		<Lazy
			load={() => import('$lib/ui/fields/DayField.svelte')}
			props={{ label: 'A class on', value: day, onpick: (picked) => (day = picked) }}
		/>
		<StartPlan
			groupId={stored.id}
			groupName={group.name}
			{day}
			copyable={data.plans.length > 0}
			templates={data.templates}
		/>
	</div>
	{#if data.newer !== null || data.older !== null}
		<nav class="pages" aria-label="Classes of this group">
			{#if data.newer !== null}<a href="?from={data.newer}">Newer classes</a>{/if}
			{#if data.older !== null}<a href="?from={data.older}">Older classes</a>{/if}
		</nav>
	{/if}
	{#if data.plans.length === 0 && data.series.length === 0 && data.newer === null}
		<form method="POST" action="?/remove">
			<Hidden name="version" value={String(autosave.savedVersion)} />
			<Button type="submit" kind="danger-tertiary" size="small" disabled={autosave.state !== 'saved'}
				>Remove this group</Button
			>
		</form>
	{/if}
	{#if form?.message}<p class="said" role="alert">{form.message}</p>{/if}
</section>

<style>
	.new {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 0.5rem 1rem;
		margin: 0.9rem 0 0.5rem;
	}
	.said {
		font-weight: 600;
		color: var(--stop);
	}
	.pages {
		display: flex;
		gap: 1rem;
		margin-top: 0.75rem;
	}
	.head {
		display: flex;
		align-items: baseline;
		gap: 1.5rem;
		margin-bottom: 1rem;
	}
	.plans {
		margin-top: 1.25rem;
	}
	ul {
		list-style: none;
		margin: 0.5rem 0 0;
		padding: 0;
	}
	li {
		display: flex;
		align-items: center;
		gap: 1rem;
		padding: 0.4rem 0;
		border-top: 1px solid var(--line);
	}
</style>
