<script lang="ts">
	import { page } from '$app/state';
</script>

<div class="page">
	<h1>{page.error?.message ?? 'Something went wrong.'}</h1>
	<p><a href="/">Back to the roster</a></p>
</div>
