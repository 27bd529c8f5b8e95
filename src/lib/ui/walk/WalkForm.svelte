<!-- The frame of a form in the field: its parts one under the other, what is wrong with them, and one button. -->
<script lang="ts">
	import { Button, InlineNotification } from 'carbon-components-svelte';
	import type { Snippet } from 'svelte';

	interface Props {
		save: () => Promise<void>;
		problem: string;
		/** What the button says. */
		action: string;
		children: Snippet;
	}
	const { save, problem, action, children }: Props = $props();

	function onsubmit(event: SubmitEvent): void {
		event.preventDefault();
		void save();
	}
</script>

<form {onsubmit}>
	{@render children()}
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	<div><Button size="small" type="submit">{action}</Button></div>
</form>

<style>
	form {
		display: grid;
		gap: 0.9rem;
		justify-items: start;
	}
</style>
