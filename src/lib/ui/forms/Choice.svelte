<!-- A choice from a list in a line of small fields: its label is said, not shown, and only what the reader chooses is told. -->
<script lang="ts">
	import { Select, SelectItem, SelectItemGroup } from 'carbon-components-svelte';

	interface Option {
		value: string;
		text: string;
	}
	interface Props {
		label: string;
		value: string;
		options?: readonly Option[];
		/** Options under headings of their own. */
		groups?: readonly { label: string; options: readonly Option[] }[];
		/** Marked as still to be said. */
		missing?: boolean;
		choose: (value: string) => void;
	}
	const { label, value, options = [], groups = [], missing = false, choose }: Props = $props();
</script>

<div class="choice" class:missing>
	<Select
		size="sm"
		hideLabel
		labelText={label}
		selected={value}
		on:update={({ detail }) => {
			if (String(detail) !== value) choose(String(detail));
		}}
	>
		{#each options as { value: id, text } (id)}<SelectItem value={id} {text} />{/each}
		{#each groups as group, at (at)}
			<SelectItemGroup label={group.label}>
				{#each group.options as { value: id, text } (id)}<SelectItem value={id} {text} />{/each}
			</SelectItemGroup>
		{/each}
	</Select>
</div>

<style>
	.choice {
		min-width: 0;
	}
	.missing :global(select) {
		border-bottom: 2px solid var(--stop);
	}
</style>
