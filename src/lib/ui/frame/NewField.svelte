<script lang="ts">
	import { InlineNotification, Modal, TextInput } from 'carbon-components-svelte';
	import { goto } from '$app/navigation';
	import { numberOrUndefined } from '../forms/numbers';
	import { call } from '../forms/call';

	interface Props {
		open: boolean;
		year: number;
		growers: string[];
		close: () => void;
	}
	const { open, year, growers, close }: Props = $props();
	let name = $state('');
	let grower = $state('');
	let acres = $state('');
	let problem = $state('');

	async function add(): Promise<void> {
		const areaAcres = numberOrUndefined(acres);
		if (acres.trim() !== '' && areaAcres === undefined) {
			problem = `“${acres}” is no number of acres.`;
			return;
		}
		const field = { name, grower, ...(areaAcres === undefined ? {} : { areaAcres }) };
		const { answer, problem: failed } = await call('POST /api/fields', {}, field);
		if (!answer) return void (problem = failed);
		close();
		await goto(`/field/${answer.id}/${year}/ground`);
	}
</script>

<Modal
	{open}
	modalHeading="New field"
	primaryButtonText="Add the field"
	secondaryButtonText="Cancel"
	primaryButtonDisabled={name.trim() === '' || grower.trim() === ''}
	selectorPrimaryFocus="#new-field-name"
	on:click:button--secondary={close}
	on:close={close}
	on:submit={add}
	hasForm
>
	<div class="stack">
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		<TextInput id="new-field-name" labelText="Field" bind:value={name} />
		<TextInput labelText="Grower (a known one, or a new name)" list="known-growers" bind:value={grower} />
		<datalist id="known-growers"
			>{#each growers as known (known)}<option value={known}></option>{/each}</datalist
		>
		<TextInput labelText="Acres (may be left out)" bind:value={acres} />
	</div>
</Modal>

<style>
	.stack {
		display: grid;
		gap: 1rem;
		min-height: 17rem;
		align-content: start;
	}
</style>
