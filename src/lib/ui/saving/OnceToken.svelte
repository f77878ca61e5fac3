<script lang="ts">
	import { newId } from '$lib/client/ids';

	/** A field for a form that makes something: sent twice (a double click), it makes one. */
	const token = newId();
</script>

<input type="hidden" name="token" value={token} />
