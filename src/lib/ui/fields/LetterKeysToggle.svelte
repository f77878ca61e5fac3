<script lang="ts">
	import { letterKeys } from '$lib/client/page/letter-keys.svelte';
	import { Toggle } from 'carbon-components-svelte';

	/** Switches keys without Ctrl or Alt off and on, for this browser. */
	const id = $props.id();
</script>

<Toggle
	{id}
	size="sm"
	labelText="Single-letter keys"
	labelA="off"
	labelB="on"
	toggled={letterKeys.on}
	on:toggle={(event) => letterKeys.set(event.detail.toggled)}
/>
<p class="quiet">
	When off, letter keys do nothing; arrows, Delete and keys with Ctrl or Alt still work. Saved in this
	browser.
</p>
