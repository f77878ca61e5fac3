<script lang="ts">
	/** A value that goes with a form and is not shown. */
	interface Props {
		name: string;
		value: string | number;
	}
	let { name, value }: Props = $props();
</script>

<!-- not a control: it is neither seen nor pressed, so Carbon has nothing for it -->
<input type="hidden" {name} {value} />
