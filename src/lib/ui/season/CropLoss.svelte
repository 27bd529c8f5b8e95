<!-- Frost or hail: what share of the crop it took, and with it of what is still to be given. -->
<script lang="ts">
	import { InlineNotification, Modal, Portal } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { LossActionBounds } from '$core/schema-types/bounds';
	import DayField from '../forms/days/DayField.svelte';
	import { typedNumbers } from '../forms/number-within';
	import NumberField from '../forms/NumberField.svelte';
	import { save, type YearAddress } from '../forms/call';

	interface Props {
		address: YearAddress;
		/** The day that is offered first. */
		date: string;
		close: () => void;
	}
	const { address, date, close }: Props = $props();
	let open = $state(true);

	let day = $state(untrack(() => date));
	let percent = $state('');
	let problem = $state('');

	async function cut(): Promise<void> {
		const numbers = typedNumbers({ lostPercent: percent }, LossActionBounds, ['lostPercent']);
		if (typeof numbers === 'string') return void (problem = numbers);
		if (!day) return void (problem = 'Give the day on which it happened.');
		problem = await save('POST /api/fields/{field}/{year}/loss', address, { date: day, ...numbers });
		if (problem === '') close();
	}
</script>

<Portal>
	<Modal
		bind:open
		size="sm"
		hasForm
		modalHeading="Part of the crop is lost"
		primaryButtonText="Cut crop and later nitrogen"
		secondaryButtonText="Cancel"
		selectorPrimaryFocus="#share-lost"
		on:click:button--secondary={close}
		on:close={close}
		on:submit={() => void cut()}
	>
		<p class="soft">
			The expected crop and every planned pass of nitrogen after that day fall by this share. One undo takes all of it
			back.
		</p>
		<div class="fields">
			<DayField label="Frost or hail on" bind:date={day} />
			<NumberField id="share-lost" facts={LossActionBounds.lostPercent} bind:text={percent} />
		</div>
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	</Modal>
</Portal>
