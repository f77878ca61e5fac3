<script lang="ts">
	import { counted } from '$lib/core/text';
	import { prefetchAfterLoad } from '$lib/client/page/prefetch';
	import { onMount } from 'svelte';
	import { Button } from 'carbon-components-svelte';
	import { formatDuration } from '$lib/core/clock';
	import { dayName, shortDay } from '$lib/core/calendar';
	import OpenFileButton from '$lib/ui/saving/OpenFileButton.svelte';
	import BringBack from '$lib/ui/saving/BringBack.svelte';
	import Ring from '$lib/ui/chart/Ring.svelte';
	import Standing from '$lib/ui/plan/Standing.svelte';
	import SeverityMark from '$lib/ui/chart/SeverityMark.svelte';
	import StartPlan from '$lib/ui/plan/StartPlan.svelte';

	let { data, form } = $props();

	/** Plans that lie on this device, ready to be taught without a network. */
	let ready = $state.raw<readonly string[]>([]);
	/** Classes that were led with this device and that the server does not have yet. */
	let waiting = $state(0);
	/** Plans of classes that were begun with this device, left, and not ended. */
	let running = $state.raw<readonly string[]>([]);
	onMount(() =>
		prefetchAfterLoad({
			ready: async () => {
				if (!data.thisWeek) return;
				const { makeReady } = await import('$lib/client/teach/ready');
				const here = await makeReady(data.toTeach, data.owner);
				ready = here.plans;
				waiting = here.waiting;
				running = here.running;
			}
		})
	);

	const DUE_WORDS = { 'write down': 'not recorded yet', plan: 'not planned', test: 'a test' };
</script>

<svelte:head><title>Week · Humble Orbit</title></svelte:head>

{#snippet teach(id: string, title: string)}
	<p class="teach">
		{#if running.includes(id)}
			<a href="/teach?plan={id}" class="running">Running on this device: go back to it</a>
		{:else}<a href="/teach?plan={id}" aria-label="Teach {title || 'this class'}">Teach</a>{/if}
		{#if ready.includes(id)}<span class="quiet">on this device</span>{/if}
	</p>
{/snippet}

<div class="top">
	<h1>{data.thisWeek ? 'This week' : `Week of ${dayName(data.week.days[0] ?? '')}`}</h1>
	<nav aria-label="Weeks">
		<a href="?week={data.week.previousId}">Earlier</a>
		{#if !data.thisWeek}<a href="/">This week</a>{/if}
		<a href="?week={data.week.nextId}">Later</a>
	</nav>
	<span class="grow"></span>
	<a class="templates" href="/template">Templates</a>
	<OpenFileButton kind="plan" groups={data.groups} />
</div>

{#if waiting}
	<p class="said" role="status">
		{counted(waiting, 'class', 'classes')} taught with this device could not be sent to the server. The record stays
		on this device and is sent when you next open this page.
	</p>
{/if}
{#if form?.message}<p class="said" role="alert">{form.message}</p>{/if}
{#if data.removed}
	<BringBack what="“{data.removed.title}”" id={data.removed.id} days={data.removed.days} />
{/if}
{#if data.groups.length === 0}
	<section class="sheet empty">
		<h2>Who comes to your classes?</h2>
		<p>Begin with one group: say who comes and when, and a first class is proposed, ready to print.</p>
		<p><Button href="/begin" size="small">Begin</Button></p>
	</section>
{/if}

{#if data.next && data.thisWeek}
	{@const next = data.next}
	<section class="next sheet" aria-labelledby="next-title">
		{#if next.plan}<Ring sectors={next.plan.ring} size={132} label="Balance of {next.plan.title}" />{/if}
		<div>
			<p class="quiet">Next</p>
			<h2 id="next-title">{next.groupName}</h2>
			<p class="when">{next.startsAt} <span class="quiet">{dayName(next.day)}</span></p>
		</div>
		<div class="grow">
			{#if next.plan}
				<h3><a href="/plan/{next.plan.id}">{next.plan.title}</a></h3>
				<Standing plan={next.plan} detailed />
				{#if next.plan.blocks}{@render teach(next.plan.id, next.plan.title)}{/if}
			{:else}
				<p>No plan yet.</p>
				<StartPlan
					groupId={next.groupId}
					groupName={next.groupName}
					day={next.day}
					copyable={data.copyable.includes(next.groupId)}
					templates={data.templates}
				/>
			{/if}
		</div>
	</section>
{/if}

{#if data.due.length}
	<section class="due" aria-labelledby="due-title">
		<h2 id="due-title">To do in your series</h2>
		<ul>
			{#each data.due as { id, title, due } (id)}
				<li>
					<a href="/series/{id}">{title}</a>
					{#each due as d, index (index)}
						<span>class {d.number}, {shortDay(d.on)}: {DUE_WORDS[d.kind]}</span>
					{/each}
				</li>
			{/each}
		</ul>
	</section>
{/if}

<ol class="days">
	{#each data.days as day (day.iso)}
		<li class:past={day.past} class:today={day.today}>
			<h2>
				{day.name}{#if day.today}<span class="tag">today</span>{/if}
			</h2>
			{#each day.clashes as clash, index (index)}
				<p class="clash">
					<SeverityMark severity="fix" />
					Room clash in {clash.room}: {clash.second} from {clash.from} overlaps {clash.first} by {clash.minutes}
					min
				</p>
			{/each}
			{#if day.classes.length === 0}
				<p class="quiet">No class</p>
			{:else}
				<ul>
					{#each day.classes as c, index (index)}
						<li class="class">
							<span class="time">{c.startsAt}</span>
							<span class="what">
								<a class="group" href="/group/{c.groupId}">{c.groupName}</a>
								<span class="quiet">{formatDuration(c.lengthSeconds)}</span>
							</span>
							{#if c.plan}
								<Ring sectors={c.plan.ring} size={44} label="Balance of {c.plan.title}" />
								<div class="plan">
									<a href="/plan/{c.plan.id}">{c.plan.title || 'Untitled class'}</a>
									<Standing plan={c.plan} />
									{#if data.toTeach.includes(c.plan.id)}{@render teach(c.plan.id, c.plan.title)}{/if}
								</div>
							{:else}
								<div class="plan">
									<span class="quiet">{day.past ? 'Nothing was planned' : 'Not planned yet'}</span>
									<StartPlan
										groupId={c.groupId}
										groupName={c.groupName}
										day={c.day}
										copyable={data.copyable.includes(c.groupId)}
										templates={data.templates}
									/>
								</div>
							{/if}
						</li>
					{/each}
				</ul>
			{/if}
		</li>
	{/each}
</ol>

<style>
	.top {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem 1.25rem;
		margin-bottom: 1rem;
	}
	.top nav {
		display: flex;
		gap: 1rem;
		font-size: var(--text-s);
	}
	.teach {
		font-size: var(--text-s);
		font-weight: 600;
	}
	.teach .quiet {
		font-weight: 400;
	}
	.templates {
		font-size: var(--text-s);
	}
	.said {
		margin-bottom: 1rem;
		font-weight: 600;
		color: var(--stop);
	}
	.grow {
		flex: 1;
	}
	.next {
		display: flex;
		align-items: center;
		gap: 2rem;
		margin-bottom: 1.25rem;
		flex-wrap: wrap;
	}
	.next .when {
		font-size: var(--text-hero);
		font-weight: 650;
		line-height: 1.1;
	}
	.next .grow {
		border-left: 1px solid var(--line);
		padding-left: 2rem;
		display: grid;
		gap: 0.5rem;
		min-width: 16rem;
	}
	.empty {
		display: grid;
		gap: 0.5rem;
		margin-bottom: 1.25rem;
	}
	ol,
	ul {
		list-style: none;
		margin: 0;
		padding: 0;
	}
	.due {
		display: grid;
		grid-template-columns: 13rem minmax(0, 1fr);
		gap: 1rem;
		padding: 0 0.5rem 0.75rem;
	}
	.due h2 {
		font-size: var(--text-m);
	}
	.due li {
		display: flex;
		flex-wrap: wrap;
		gap: 0.1rem 0.9rem;
		font-size: var(--text-s);
	}
	.clash {
		grid-column: 2;
		display: flex;
		gap: 0.5rem;
		align-items: center;
		font-weight: 600;
	}
	.days > li {
		display: grid;
		grid-template-columns: 13rem minmax(0, 1fr);
		gap: 1rem;
		padding: 0.75rem 0.5rem;
		border-top: 1px solid var(--line);
	}
	.days h2 {
		font-size: var(--text-m);
	}
	.past h2 {
		color: var(--ink-soft);
		font-weight: 500;
	}
	.today {
		background: var(--sheet);
	}
	.tag {
		margin-left: 0.5rem;
		padding: 0.05rem 0.5rem;
		border-radius: 999px;
		background: var(--accent);
		color: var(--on-accent);
		font-size: var(--text-xs);
	}
	.days ul {
		display: grid;
		gap: 0.75rem;
	}
	.class {
		display: grid;
		grid-template-columns: 4rem 13rem 44px minmax(0, 1fr);
		gap: 0.9rem;
		align-items: center;
	}
	.time {
		font-size: var(--text-l);
		font-weight: 650;
	}
	.what {
		display: grid;
	}
	.group {
		color: var(--ink);
		font-weight: 600;
	}
	.plan {
		grid-column: 4;
		display: flex;
		align-items: center;
		flex-wrap: wrap;
		gap: 0.4rem 0.9rem;
	}
	@media (max-width: 48rem) {
		.days > li,
		.due,
		.class {
			grid-template-columns: minmax(0, 1fr);
			gap: 0.4rem;
		}
		.plan {
			grid-column: 1;
		}
		.next .grow {
			border-left: 0;
			padding-left: 0;
		}
	}
</style>
