<!-- Somebody changed the same meanwhile: what the book holds beside what was to be saved. -->
<script lang="ts">
	import { Modal } from 'carbon-components-svelte';
	import ListTable from '../tables/ListTable.svelte';
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
		<ListTable
			label="What stands and what you wrote"
			rows={asked.differences}
			sortable={false}
			empty="The two differ in what this table does not show, such as the shape of a zone."
			columns={[
				{ name: '', of: ({ what }) => what },
				{ name: 'In the book', of: ({ book }) => book },
				{ name: 'Yours', of: ({ own }) => own }
			]}
		/>
	{/if}
</Modal>
