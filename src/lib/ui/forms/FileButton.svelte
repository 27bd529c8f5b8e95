<!-- A button that asks for one file and keeps its own words. -->
<script lang="ts">
	import { FileUploaderButton } from 'carbon-components-svelte';

	interface Props {
		label: string;
		kind?: 'tertiary' | 'ghost';
		accept?: string[];
		take: (file: File | undefined) => void;
	}
	const { label, kind = 'tertiary', accept = [], take }: Props = $props();
</script>

<FileUploaderButton
	size="small"
	{kind}
	disableLabelChanges
	{accept}
	labelText={label}
	on:change={({ detail }) => take(detail[0])}
/>
