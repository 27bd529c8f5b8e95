<script lang="ts">
	import {
		Modal,
		StructuredList,
		StructuredListBody,
		StructuredListCell,
		StructuredListRow
	} from 'carbon-components-svelte';
	import { WORDS } from './words';

	const { open, close }: { open: boolean; close: () => void } = $props();
	const keys: [string, string][] = [
		['/', 'find a field'],
		['0', 'the roster'],
		...WORDS.map(({ name }, index): [string, string] => [String(index + 1), name]),
		['Ctrl Z', 'undo the last change'],
		['← →', 'on a pass of the board: move it by a day, with Shift by a week'],
		['Esc', 'close the worksheet'],
		['?', 'this list']
	];
</script>

<Modal {open} class="keys" passiveModal modalHeading="Keys" size="xs" on:close={close}>
	<StructuredList condensed flush>
		<StructuredListBody>
			{#each keys as [key, action] (key)}
				<StructuredListRow>
					<StructuredListCell head noWrap><kbd>{key}</kbd></StructuredListCell>
					<StructuredListCell>{action}</StructuredListCell>
				</StructuredListRow>
			{/each}
		</StructuredListBody>
	</StructuredList>
</Modal>

<style>
	/* All of them are seen at once. */
	:global(.bx--modal.keys .bx--modal-container) {
		max-height: 94%;
	}
	kbd {
		font: inherit;
		font-weight: 650;
	}
</style>
