<script lang="ts">
	import Hidden from '$lib/ui/primitives/Hidden.svelte';
	import { newId } from '$lib/client/page/ids';

	/** A field for a form that makes something: sent twice (a double click), it makes one. */
	const token = newId();
</script>

<Hidden name="token" value={token} />
