<!-- Asks before a field goes by a curve that was measured nowhere. -->
<script lang="ts">
	import { Modal, Portal } from 'carbon-components-svelte';

	interface Props {
		title: string;
		confirm: () => void;
		close: () => void;
	}
	const { title, confirm, close }: Props = $props();
	let open = $state(true);
</script>

<!-- In the body: a panel that contains its layout would hold the dialog inside itself. -->
<Portal>
	<Modal
		bind:open
		size="sm"
		modalHeading="Go by a simulated curve?"
		primaryButtonText="Choose it all the same"
		secondaryButtonText="Cancel"
		on:click:button--secondary={close}
		on:close={close}
		on:submit={confirm}
	>
		<p>
			“{title}” is simulated: it was measured on no field, and stands here for show. A rate from it goes on the sheet
			with the words <em>simulated, not measured</em>.
		</p>
	</Modal>
</Portal>
