<script lang="ts">
	import { page } from '$app/state';
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
</script>

<a class="skip" href="#main">To the content</a>
<header>
	<a class="mark" href="/" aria-label="Humble Orbit, to the week">
		<svg viewBox="0 0 32 32" width="26" height="26" aria-hidden="true">
			<g fill="none" stroke-width="5.5">
				<path d="M14.6 5a11 11 0 0 0 0 22" stroke="var(--adduction)" stroke-dasharray="10.2 1.3" />
				<path d="M17.4 5a11 11 0 0 1 0 22" stroke="var(--internalRotation)" stroke-dasharray="10.2 1.3" />
			</g>
		</svg>
		<span>Humble Orbit</span>
	</a>
	{#if studio && teacher}
		<nav aria-label="Main">
			{#each places as place (place.href)}
				<a href={place.href} aria-current={place.on(page.url.pathname) ? 'page' : undefined}>{place.label}</a>
			{/each}
		</nav>
		<p class="who"><strong>{studio.name}</strong> <span>{teacher.name}</span></p>
		<form method="POST" action="/sign-out"><button>Sign out</button></form>
	{/if}
</header>
<main id="main" tabindex="-1">
	{@render children()}
</main>

<style>
	header {
		display: flex;
		align-items: center;
		gap: 1.5rem;
		padding: 0 1.5rem;
		height: 3.25rem;
		background: var(--paper);
		border-bottom: 1px solid var(--line);
	}
	.mark {
		display: flex;
		align-items: center;
		gap: 0.6rem;
		color: var(--ink);
		font-weight: 700;
		font-size: var(--text-m);
		text-decoration: none;
	}
	nav {
		display: flex;
		gap: 0.25rem;
		height: 100%;
	}
	nav a {
		display: flex;
		align-items: center;
		padding: 0 0.9rem;
		color: var(--ink-soft);
		text-decoration: none;
		border-bottom: 3px solid transparent;
		border-top: 3px solid transparent;
	}
	nav a:hover {
		color: var(--ink);
	}
	nav a[aria-current] {
		color: var(--ink);
		font-weight: 600;
		border-bottom-color: var(--accent);
	}
	.who {
		margin-left: auto;
		font-size: var(--text-s);
		color: var(--ink-soft);
	}
	.who strong {
		color: var(--ink);
		margin-right: 0.4rem;
	}
	form button {
		border: 1px solid var(--line);
		border-radius: 999px;
		background: none;
		padding: 0.3rem 0.8rem;
		font-size: var(--text-s);
		color: var(--ink);
		cursor: pointer;
	}
	form button:hover {
		background: var(--sunk);
	}
	main {
		padding: 1.25rem 1.5rem 3rem;
		max-width: 88rem;
		margin: 0 auto;
	}
	main:focus {
		outline: none;
	}
	.skip {
		position: absolute;
		left: 1rem;
		top: -4rem;
		z-index: 10;
		background: var(--sheet);
		padding: 0.5rem 1rem;
	}
	.skip:focus {
		top: 0.5rem;
	}
	@media (max-width: 40rem) {
		header {
			gap: 0.5rem;
			padding: 0 0.6rem;
		}
		.who,
		.mark span {
			display: none;
		}
		nav {
			gap: 0;
			min-width: 0;
			overflow-x: auto;
		}
		nav a {
			padding: 0 0.35rem;
			font-size: var(--text-s);
		}
		form {
			margin-left: auto;
		}
		form button {
			padding: 0.3rem 0.45rem;
			white-space: nowrap;
		}
		main {
			padding: 1rem 0.75rem 2rem;
		}
	}
	@media print {
		header {
			display: none;
		}
		main {
			padding: 0;
		}
	}
</style>
