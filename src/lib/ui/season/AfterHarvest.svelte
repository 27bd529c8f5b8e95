<!-- What is sown after the harvest to catch the nitrogen that was left, and what the season model says of it. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CatchCrop, SecondCrop } from '$core/schema-types';
	import type { UnitSystem } from '$core/units/rate-units';
	import { longDate } from '$core/units/day-text';
	import type { AfterHarvest } from '$lib/server/field/season/after-harvest';
	import { save, type YearAddress } from '../forms/call';
	import DayField from '../forms/days/DayField.svelte';
	import CatchText from './CatchText.svelte';
	import SecondText from './SecondText.svelte';

	interface Props {
		address: YearAddress;
		sown: CatchCrop | undefined;
		second: { planted: SecondCrop; name: string; unit: string } | undefined;
		after: AfterHarvest;
		/** Catch crops that the model knows. */
		known: readonly { id: string; name: string }[];
		kind: string;
		units: UnitSystem;
	}
	const { address, sown, second, after, known, kind, units }: Props = $props();

	const from = untrack(() => sown);
	let crop = $state(from?.crop ?? untrack(() => known[0]!.id));
	let sownOn = $state(from?.sownOn ?? '');
	let endedOn = $state(from?.endedOn ?? '');
	let problem = $state('');

	async function set(catchCrop: CatchCrop | null): Promise<void> {
		problem = await save('PUT /api/fields/{field}/{year}/catch-crop', address, { catchCrop });
	}

	function submit(event: SubmitEvent): void {
		event.preventDefault();
		if (!sownOn || !endedOn) return void (problem = 'Give the day on which it is sown and the day on which it ends.');
		void set({ crop, sownOn, endedOn });
	}
</script>

<section class="section" aria-label="After the harvest">
	<h2>After the harvest</h2>
	{#if second && after.second}<SecondText {second} grown={after.second} {kind} {units} />{/if}
	{#if sown}
		<CatchText {sown} {after} {kind} />
	{:else if !second}
		<p class="soft">
			A catch crop takes up nitrogen that the harvest left and that winter would leach.
			{#if after.harvest}The usual harvest is about {longDate(after.harvest)}.{/if}
		</p>
	{/if}
	<form onsubmit={submit}>
		<div class="fields">
			<Select size="sm" labelText="Catch crop" bind:selected={crop}>
				{#each known as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			<DayField label="Sown on" bind:date={sownOn} placeholder={after.harvest ?? '2027-09-28'} />
			<DayField label="Killed or cut on" bind:date={endedOn} placeholder="2028-04-15" />
		</div>
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		<div class="row">
			<Button size="small" kind="tertiary" type="submit">{sown ? 'Save the catch crop' : 'Add the catch crop'}</Button>
			{#if sown}<Button size="small" kind="ghost" onclick={() => set(null)}>Remove it</Button>{/if}
		</div>
	</form>
</section>

<style>
	form {
		display: grid;
		gap: 0.8rem;
		max-width: 44rem;
	}
</style>
