<!-- The end of a form: what is wrong with it, the button that saves, and the one that leaves it. -->
<script lang="ts">
	import { Button, InlineNotification } from 'carbon-components-svelte';

	interface Props {
		problem: string;
		/** Of the button that saves. */
		action: string;
		cancel: () => void;
	}
	const { problem, action, cancel }: Props = $props();
</script>

{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
<div class="row">
	<Button size="small" type="submit">{action}</Button>
	<Button size="small" kind="ghost" onclick={cancel}>Cancel</Button>
</div>
