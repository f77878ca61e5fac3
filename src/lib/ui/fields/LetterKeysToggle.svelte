<script lang="ts">
	import { letterKeys } from '$lib/client/letter-keys.svelte';
	import { Toggle } from 'carbon-components-svelte';

	/** Switches keys without Ctrl or Alt off and on, for this browser. */
	const id = $props.id();
</script>

<Toggle
	{id}
	size="sm"
	labelText="Keys without Ctrl or Alt"
	labelA="off"
	labelB="on"
	toggled={letterKeys.on}
	on:toggle={(event) => letterKeys.set(event.detail.toggled)}
/>
<p class="quiet">
	Off, so that spoken or mistyped letters do nothing; arrows, Delete and keys with Ctrl or Alt stay. Kept in
	this browser.
</p>
