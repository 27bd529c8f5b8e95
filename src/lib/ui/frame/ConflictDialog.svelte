<!-- Somebody changed the same meanwhile: what the book holds beside what was to be saved. -->
<script lang="ts">
	import { Modal } from 'carbon-components-svelte';
	import { conflict } from '../forms/conflict.svelte';

	const asked = $derived(conflict.asked);
</script>

<Modal
	open={asked !== undefined}
	modalHeading="Changed in the book meanwhile"
	primaryButtonText="Save mine"
	secondaryButtonText="Leave it as it is in the book"
	selectorPrimaryFocus=".bx--modal-content"
	preventCloseOnClickOutside
	on:submit={() => asked?.choose('own')}
	on:click:button--secondary={() => asked?.choose('book')}
	on:close={() => asked?.choose('book')}
>
	<p>
		Another window changed this after the page was loaded. Nothing of yours has been saved yet; which of the two stands?
	</p>
	{#if asked}
		<table class="ledger">
			<thead><tr><th></th><th>In the book</th><th>Yours</th></tr></thead>
			<tbody>
				{#each asked.differences as { what, book, own } (what)}
					<tr><th scope="row">{what}</th><td>{book}</td><td>{own}</td></tr>
				{:else}
					<tr><td colspan="3">The two differ in what this table does not show, such as the shape of a zone.</td></tr>
				{/each}
			</tbody>
		</table>
	{/if}
</Modal>

<style>
	th[scope='row'] {
		font-weight: 600;
		vertical-align: baseline;
		border-bottom: 1px solid var(--rule);
	}
	td {
		vertical-align: baseline;
	}
</style>
