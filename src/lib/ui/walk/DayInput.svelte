<!-- The day of a test. The phone's own date picker is the largest target there is. -->
<script lang="ts">
	let { date = $bindable() }: { date: string } = $props();
	const id = $props.id();
</script>

<div>
	<label class="bx--label" for={id}>Day</label>
	<input {id} class="bx--text-input" type="date" required bind:value={date} />
</div>
