<script lang="ts">
	import { page } from '$app/state';
	import {
		Content,
		Header,
		HeaderNav,
		HeaderNavItem,
		HeaderUtilities,
		SideNav,
		SideNavItems,
		SideNavLink,
		SkipToContent
	} from 'carbon-components-svelte';
	import SignOut from './SignOut.svelte';
	import type { Snippet } from 'svelte';

	interface Props {
		teacher: { name: string } | null;
		studio: { name: string } | null;
		children: Snippet;
	}
	let { teacher, studio, children }: Props = $props();

	const places = [
		{ href: '/', label: 'Week', on: (path: string) => path === '/' || path.startsWith('/plan') },
		{ href: '/group', label: 'Groups', on: (path: string) => path.startsWith('/group') },
		{ href: '/series', label: 'Series', on: (path: string) => path.startsWith('/series') },
		{ href: '/catalogue', label: 'Catalogue', on: (path: string) => path.startsWith('/catalogue') },
		{ href: '/style', label: 'Style', on: (path: string) => path.startsWith('/style') }
	];
	/** Below this the places are in a panel at the side. */
	const NARROW_PIXELS = 720;
	let open = $state(false);
	const path = $derived(page.url.pathname);
	// the panel has done its work when its place is there
	$effect(() => {
		if (path) open = false;
	});
</script>

<div class="shell" class:open>
	<Header
		href="/"
		uiShellAriaLabel="Humble Orbit"
		aria-label="Humble Orbit, home"
		expandedByDefault={false}
		expansionBreakpoint={NARROW_PIXELS}
		bind:isSideNavOpen={open}
	>
		<svelte:fragment slot="skipToContent"
			><SkipToContent href="#main">Skip to content</SkipToContent></svelte:fragment
		>
		<span slot="platform" class="mark">
			<svg viewBox="0 0 32 32" width="26" height="26" aria-hidden="true">
				<g fill="none" stroke-width="5.5">
					<path d="M14.6 5a11 11 0 0 0 0 22" stroke="var(--adduction)" stroke-dasharray="10.2 1.3" />
					<path d="M17.4 5a11 11 0 0 1 0 22" stroke="var(--internalRotation)" stroke-dasharray="10.2 1.3" />
				</g>
			</svg>
			<span>Humble Orbit</span>
		</span>
		{#if studio && teacher}
			<HeaderNav aria-label="Main">
				{#each places as place (place.href)}
					<HeaderNavItem href={place.href} text={place.label} isSelected={place.on(path)} />
				{/each}
			</HeaderNav>
			<HeaderUtilities>
				<p class="who"><strong>{studio.name}</strong> <span>{teacher.name}</span></p>
				<SignOut />
			</HeaderUtilities>
		{/if}
	</Header>
	{#if studio && teacher}
		<SideNav bind:isOpen={open} ariaLabel="Places" expansionBreakpoint={NARROW_PIXELS}>
			<SideNavItems>
				{#each places as place (place.href)}
					<SideNavLink href={place.href} text={place.label} isSelected={place.on(path)} />
				{/each}
			</SideNavItems>
		</SideNav>
	{/if}
	<Content id="main" tabindex={-1}>
		{@render children()}
	</Content>
</div>

<style>
	.mark {
		display: flex;
		align-items: center;
		gap: 0.6rem;
		font-weight: 700;
		font-size: var(--text-m);
	}
	.who {
		align-self: center;
		font-size: var(--text-s);
		color: var(--ink-soft);
	}
	.who strong {
		color: var(--ink);
		margin-right: 0.4rem;
	}
	/* Carbon's frame is dark; ours is paper with a line under it. */
	.shell :global(.bx--header) {
		background: var(--paper);
		border-color: var(--line);
	}
	.shell :global(:is(.bx--header__name, .bx--header__menu-item, .bx--side-nav__link-text)) {
		color: var(--ink);
	}
	.shell :global(a.bx--header__menu-item:hover) {
		background: var(--sunk);
		color: var(--ink);
	}
	.shell :global(:is(a.bx--header__menu-item, a.bx--skip-to-content):focus-visible) {
		border-color: var(--accent);
		outline: 3px solid var(--accent);
		outline-offset: -3px;
	}
	.shell :global(.bx--header__nav::before) {
		display: none;
	}
	.shell :global(.bx--header__menu-item--current) {
		font-weight: 600;
	}
	.shell :global(.bx--header__menu-item--current::after) {
		border-bottom-color: var(--accent);
	}
	.shell :global(.bx--header__menu-trigger > svg) {
		fill: var(--ink);
	}
	.shell :global(.bx--side-nav) {
		background: var(--sheet);
	}
	.shell :global(.bx--content) {
		max-width: 88rem;
		margin: 0 auto;
		padding: 4.25rem 1.5rem 3rem;
		background: none;
	}
	.shell :global(.bx--content:focus) {
		outline: none;
	}
	@media (min-width: 45rem) {
		.shell :global(.bx--header__nav) {
			display: block;
		}
	}
	@media (max-width: 45rem) {
		.who {
			display: none;
		}
		.shell :global(.bx--content) {
			padding: 4rem 0.75rem 2rem;
		}
	}
	/* a page at four times its size on a small screen */
	@media (max-width: 22rem) {
		.shell :global(.bx--content) {
			padding: 4rem 0.4rem 2rem;
		}
	}
	@media print {
		.shell :global(.bx--header) {
			display: none;
		}
		.shell :global(.bx--content) {
			padding: 0;
		}
	}
</style>
