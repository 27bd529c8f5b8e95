<script lang="ts">
	import { Button } from 'carbon-components-svelte';
</script>

<div class="empty">
	<h2>No soil sample yet</h2>
	<p>
		Import the lab's file: each row is shown as it will be read before anything is kept. Or type the values in under
		Ground.
	</p>
	<Button size="small" href="/import">Import a lab file</Button>
</div>
