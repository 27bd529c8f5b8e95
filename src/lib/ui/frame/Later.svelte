<!-- A part that a page seldom shows: it is loaded the first time it is wanted, and stays. -->
<script lang="ts" generics="Props extends Record<string, unknown>">
	import type { Component } from 'svelte';

	interface Own {
		wanted: boolean;
		load: () => Promise<{ default: Component<Props> }>;
		props: Props;
	}
	const { wanted, load, props }: Own = $props();
	let Part = $state.raw<Component<Props>>();

	$effect(() => {
		if (wanted && !Part) void load().then((loaded) => (Part = loaded.default));
	});
</script>

{#if Part}<Part {...props} />{/if}
