<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { getPack } from '$lib/client/api';
	import { WakeLock } from '$lib/client/teach/wake-lock.svelte';
	import {
		beginSession,
		rehearseSession,
		reopenSession,
		type TeachingSession
	} from '$lib/client/teach/teaching-session.svelte';
	import { DeviceStore, type KeptPack } from '$lib/client/teach/device-store';
	import { goesOn, uploadUnsentSessions } from '$lib/client/teach/upload-unsent';
	import { RoomSender } from '$lib/client/teach/room-channel';
	import { keepPages } from '$lib/client/teach/kept-pages';
	import { DeviceSettings, LOOKS } from '$lib/client/teach/settings.svelte';
	import { timeOfMoment } from '$lib/client/teach/time';
	import { Signals } from '$lib/client/teach/signals';
	import { teachAct } from '$lib/client/teach/teach-keys';
	import { beginsAt, moreSeconds, restOfItem, type TeachPack } from '$lib/core/teach';
	import TeachBefore from '$lib/ui/teach/TeachBefore.svelte';
	import TeachControls from '$lib/ui/teach/TeachControls.svelte';
	import Lazy from '$lib/ui/frame/Lazy.svelte';
	import { TEACH_PANELS } from '$lib/ui/teach/panels';
	import { prefetchAfterLoad } from '$lib/client/page/prefetch';
	import TeachNotices from '$lib/ui/teach/TeachNotices.svelte';
	import TeachStage from '$lib/ui/teach/TeachStage.svelte';
	import TeachTop from '$lib/ui/teach/TeachTop.svelte';
	import type { Attendance } from '$lib/core/people';
	import { toggleWholeScreen } from '$lib/client/teach/whole-screen';
	import { Button } from 'carbon-components-svelte';
	import { onMount } from 'svelte';

	let { data } = $props();

	const settings = new DeviceSettings();
	const awake = new WakeLock();
	const signals = new Signals();
	const room = new RoomSender();
	/** Counting and swapping bring the catalogue with them: they come when they are asked for. */
	const { change: _change, here: _here, ...atRest } = TEACH_PANELS;
	/** Null where this browser keeps nothing. */
	let store = $state.raw<DeviceStore | null>(null);
	let packs = $state.raw<KeptPack[]>([]);
	let pack = $state.raw<TeachPack | null>(null);
	let run = $state.raw<TeachingSession | null>(null);
	let isReady = $state(false);
	let isLooking = $state(true);
	let panel = $state<'' | 'list' | 'late' | 'change' | 'count' | 'settings' | 'keys'>('');
	let speed = $state(1);
	/** Counted on this page; null: as the plan has it. */
	let here = $state.raw<Attendance | null>(null);

	onMount(() => {
		void keepPages();
		void open();
		const giveUp = prefetchAfterLoad(atRest);
		return () => {
			giveUp();
			run?.close();
			signals.close();
			room.close();
			awake.letGo();
		};
	});

	async function open() {
		store = await DeviceStore.open().catch(() => null);
		const asked = page.url.searchParams.get('plan');
		const left = (await store?.runs())
			?.filter((kept) => goesOn(kept) && (!asked || kept.pack.planId === asked))
			.at(-1);
		if (store && left) {
			pack = left.pack;
			run = await reopenSession(store, left);
			await awake.ask();
		} else if (asked) await choose(asked);
		packs = (await store?.packs()) ?? [];
		if (store && data.owner) void uploadUnsentSessions(store, data.owner);
		isLooking = false;
	}

	async function choose(planId: string) {
		const kept = await store?.pack(planId);
		const fresh = await getPack(planId);
		pack = fresh ?? kept?.pack ?? null;
		if (fresh && store)
			await store.putPack({ planId, owner: data.owner, pack: fresh, at: Date.now() }).catch(() => undefined);
		isReady = Boolean(await store?.pack(planId));
	}

	async function begin() {
		if (!pack) return;
		signals.wake();
		await navigator.storage?.persist?.().catch(() => false);
		const plannedStartAt = beginsAt(pack, Date.now());
		run = await beginSession(store, pack, data.owner, plannedStartAt, here);
		run.does({ do: 'lead', by: settings.now.lead, waitsIn: settings.waitsIn });
		await awake.ask();
	}

	function rehearse(times: number) {
		if (!pack) return;
		signals.wake();
		speed = times;
		run = rehearseSession(pack, () => speed);
	}

	$effect(() => {
		if (!run || run.state.mode === 'ended') return;
		const led = run;
		// a breath or second is shown within a fifth of its own
		const timer = setInterval(() => {
			led.tick();
			signals.follow(led.now, led.state, settings.now);
			room.send(led);
		}, 200);
		return () => clearInterval(timer);
	});
	$effect(() => {
		document.documentElement.dataset.teachLook = settings.now.look;
		return () => delete document.documentElement.dataset.teachLook;
	});

	const isPaused = $derived(run?.state.mode === 'paused');

	function next() {
		signals.wake();
		run?.press({ do: isPaused ? 'resume' : 'next' });
	}
	const back = () => run?.back();
	const pause = () => run?.does({ do: isPaused ? 'resume' : 'pause' });
	const more = () => run?.does({ do: 'more', seconds: moreSeconds(run.now) });
	const leaveOut = () => run?.does({ do: 'leave out', steps: restOfItem(run.state, run.steps) });

	/** Before its last step, as after a false start; back takes it back. */
	function end() {
		panel = '';
		run?.does({ do: 'end' });
	}

	function leave() {
		run?.close();
		void goto('/');
	}

	function changed() {
		panel = '';
		if (run && !run.isRehearsal && run.state.lead !== settings.now.lead)
			run.does({ do: 'lead', by: settings.now.lead, waitsIn: settings.waitsIn });
	}

	function onkeydown(event: KeyboardEvent) {
		if (!run || panel) return;
		const act = teachAct(event, settings.now.keys);
		if (!act) return;
		event.preventDefault();
		if (act === 'next') next();
		else if (act === 'back') back();
		else if (act === 'pause') pause();
		else if (act === 'more') more();
		else if (act === 'leave out') leaveOut();
		else if (act === 'whole screen') void toggleWholeScreen();
		else if (act === 'facing') settings.set({ isFacing: !settings.now.isFacing });
		else if (act === 'look')
			settings.set({ look: LOOKS[(LOOKS.indexOf(settings.now.look) + 1) % LOOKS.length]! });
		else panel = act;
	}
</script>

<svelte:head><title>{pack?.script.title ?? 'Teach'} · Humble Orbit</title></svelte:head>
<svelte:window {onkeydown} ononline={() => void run?.send()} onpagehide={() => run?.isAlive()} />
<svelte:document
	onvisibilitychange={() => {
		void awake.again();
		// a page that is hidden may be ended without another word
		if (document.hidden) run?.isAlive();
	}}
/>

<main class:leading={run !== null && run.state.mode !== 'ended'}>
	{#if run && run.state.mode === 'ended'}
		<Lazy load={TEACH_PANELS.after} props={{ run, onback: back }} />
	{:else if run}
		<TeachTop
			ends={timeOfMoment(run.endsAt)}
			behindMs={run.behindMs}
			speed={run.isRehearsal ? `rehearsal ×${speed}` : ''}
			onlate={() => (panel = 'late')}
			onlist={() => (panel = 'list')}
			onsettings={() => (panel = 'settings')}
			onleave={leave}
		/>
		<div class="middle">
			<TeachStage now={run.now} figures={run.pack.figures} isFacing={settings.now.isFacing} {isPaused} />
			{#if run.now.step.test && !run.isRehearsal}
				<div class="count">
					<Button kind="tertiary" size="field" on:click={() => (panel = 'count')}>Count the group</Button>
				</div>
			{/if}
			{#if !run.kept}
				<p class="warn" role="alert">This device cannot write down what happens: do not close the page.</p>
			{/if}
			{#if awake.isOn === false && !run.isRehearsal}
				<p class="quiet">This device does not let the page keep the screen on: set its own timer longer.</p>
			{/if}
			<TeachNotices {run} />
			{#if run.state.adjustments.length}
				<p class="quiet">
					Changed to end on time. <a
						href="#late"
						onclick={(e) => {
							e.preventDefault();
							panel = 'late';
						}}>See or take back</a
					>
				</p>
			{/if}
		</div>
		<TeachControls
			now={run.now}
			isFacing={settings.now.isFacing}
			{isPaused}
			canBack={run.state.visits.length > 1}
			onnext={next}
			onback={back}
			onpause={pause}
			onmore={more}
			onleaveout={leaveOut}
			onchange={() => (panel = 'change')}
			onbring={(steps) => run?.does({ do: 'bring back', steps })}
		/>
		{#if panel === 'list'}
			<Lazy load={TEACH_PANELS.list} props={{ run, onclose: () => (panel = '') }} />
		{:else if panel === 'change'}
			<Lazy load={TEACH_PANELS.change} props={{ run, onclose: () => (panel = '') }} />
		{:else if panel === 'count'}
			<Lazy load={TEACH_PANELS.count} props={{ run, onclose: () => (panel = '') }} />
		{:else if panel === 'late'}
			<Lazy load={TEACH_PANELS.late} props={{ run, ways: settings.ways, onclose: () => (panel = '') }} />
		{:else if panel === 'settings' || panel === 'keys'}
			<Lazy
				load={TEACH_PANELS.settings}
				props={{ settings, keysOpen: panel === 'keys', onclose: changed, onend: end }}
			/>
		{/if}
	{:else if pack}
		<TeachBefore
			{pack}
			{here}
			oncount={(counted, prepared) => {
				here = counted;
				pack = prepared;
			}}
			{isReady}
			isKept={store !== null}
			isSecure={isSecureContext}
			onbegin={begin}
			onrehearse={rehearse}
		/>
	{:else if isLooking}
		<p class="wait" role="status">Looking for the class ...</p>
	{:else}
		<section class="sheet none">
			<h1>Which class?</h1>
			{#if page.url.searchParams.get('plan')}
				<p>This class is not on this device, and the server cannot be reached or does not have it.</p>
			{/if}
			<ul>
				{#each packs as kept, index (index)}
					<li>
						<a href="/teach?plan={kept.planId}" data-sveltekit-reload
							>{kept.pack.script.title || 'Untitled class'}</a
						>
						<span class="quiet"
							>{kept.pack.group}, {kept.pack.day}
							{kept.pack.script.startsAt}</span
						>
					</li>
				{:else}
					<li>
						No class lies on this device. Open the week with a network, and those of the next days will.
					</li>
				{/each}
			</ul>
			<p><a href="/">Back to the week</a></p>
		</section>
	{/if}
</main>

<style>
	main {
		min-height: 100dvh;
	}
	.leading {
		display: grid;
		grid-template-rows: auto minmax(0, 1fr) auto;
		height: 100dvh;
	}
	.middle {
		overflow-y: auto;
		padding: 0.6rem 0.9rem;
		display: grid;
		align-content: start;
		gap: 0.5rem;
	}
	@media (min-width: 48rem) {
		.count {
			justify-self: center;
		}
	}
	.warn {
		color: var(--stop);
		font-weight: 650;
	}
	.wait,
	.none {
		max-width: 36rem;
		margin: 3rem auto;
	}
	.none {
		display: grid;
		gap: 0.75rem;
	}
	.none ul {
		list-style: none;
		margin: 0;
		padding: 0;
		display: grid;
		gap: 0.5rem;
	}
</style>
