<script lang="ts">
	import { Autosave } from '$lib/client/autosave.svelte';
	import { groupForm } from '$lib/client/documents';
	import type { Group } from '$lib/core/group';
	import KeepSaved from '$lib/ui/saving/KeepSaved.svelte';
	import GroupForm from '$lib/ui/group/GroupForm.svelte';
	import Ring from '$lib/ui/chart/Ring.svelte';
	import SaveMark from '$lib/ui/saving/SaveMark.svelte';
	import Standing from '$lib/ui/plan/Standing.svelte';
	import Students from '$lib/ui/group/Students.svelte';
	import { untrack } from 'svelte';

	let { data } = $props();
	const stored = untrack(() => data.stored);
	const autosave = new Autosave<Group>(
		`/api/groups/${stored.id}`,
		{ version: stored.version },
		untrack(() => data.owner),
		groupForm
	);
	let group = $state.raw(stored.group);

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

<GroupForm {group} onchange={change} />
<Students groupId={stored.id} stored={data.students} oncount={(counts) => change({ ...group, ...counts })} />

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
	<ul>
		{#each data.plans as plan (plan.id)}
			<li>
				<Ring sectors={plan.ring} size={44} label="Balance of {plan.title}" />
				<a href="/plan/{plan.id}">{plan.title || 'Untitled class'}</a>
				<span class="quiet">{plan.day}</span>
				<Standing {plan} />
			</li>
		{:else}
			<li>None yet: start one from the <a href="/">week</a>.</li>
		{/each}
	</ul>
	{#if data.newer !== null || data.older !== null}
		<nav class="pages" aria-label="Classes of this group">
			{#if data.newer !== null}<a href="?from={data.newer}">Newer classes</a>{/if}
			{#if data.older !== null}<a href="?from={data.older}">Older classes</a>{/if}
		</nav>
	{/if}
</section>

<style>
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
