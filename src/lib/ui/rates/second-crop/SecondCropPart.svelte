<!-- What is planted after the harvest in the same year, and its rates by each approach. -->
<script lang="ts">
	import { Button, Disclosure, InlineNotification, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CropId, SecondCrop } from '$core/schema-types';
	import { SecondCropBounds } from '$core/schema-types/bounds';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import DayField from '$lib/ui/forms/days/DayField.svelte';
	import { save } from '$lib/ui/forms/call';
	import NumberField from '$lib/ui/forms/NumberField.svelte';
	import { factsIn } from '$lib/ui/forms/number-within';
	import { keptNumber, typedAmount } from '$lib/ui/forms/typed-amount';
	import SecondNitrogenFields from './SecondNitrogenFields.svelte';
	import { methodOf, secondNitrogen } from './second-nitrogen';
	import Severity from '$lib/ui/figure/Severity.svelte';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import ListTable from '$lib/ui/tables/ListTable.svelte';

	interface Props {
		second: RatesPage['second'];
		page: RatesPage['goalPage'];
	}
	const { second, page }: Props = $props();

	const planted = $derived(second.planted);
	const annual = $derived(page.crops.filter(({ perennial }) => !perennial));
	const unitOf = (id: string) => page.crops.find((one) => one.id === id)?.yieldUnit ?? '';
	const from = untrack(() => second.planted);
	let crop = $state<string>(from?.id ?? 'soybean');
	let goal = $state(untrack(() => typedAmount(from?.yieldGoal, unitOf(crop), page.units)));
	let plantingDate = $state(from?.plantingDate ?? '');
	let method = $state(untrack(() => methodOf(second)));
	let ownRate = $state(untrack(() => typedAmount(from?.nitrogen?.ownRate, 'lb/ac', page.units)));
	let reason = $state(from?.nitrogen?.reason ?? '');
	let problem = $state('');
	/** Its calendar and table come when they are looked at. */
	let open = $state(from !== undefined);

	const address = $derived({ field: page.fieldId, year: page.year });

	async function set(secondCrop: SecondCrop | null): Promise<void> {
		problem = await save('PUT /api/fields/{field}/{year}/second-crop', address, { secondCrop });
	}

	function submit(event: SubmitEvent): void {
		event.preventDefault();
		const yieldGoal = keptNumber(goal, planted?.yieldGoal, SecondCropBounds.yieldGoal, unitOf(crop), page.units);
		if (yieldGoal === undefined) return void (problem = 'Its goal is not filled in.');
		if (typeof yieldGoal === 'string') return void (problem = yieldGoal);
		const same = planted?.id === crop;
		const harvested = same ? planted.harvestedYield : undefined;
		const nitrogen = same ? secondNitrogen({ method, ownRate, reason }, planted.nitrogen, page.units) : undefined;
		if (typeof nitrogen === 'string') return void (problem = nitrogen);
		void set({
			id: crop as CropId,
			yieldGoal,
			...(plantingDate ? { plantingDate } : {}),
			...(harvested === undefined ? {} : { harvestedYield: harvested }),
			...(nitrogen ? { nitrogen } : {})
		});
	}
</script>

{#snippet approachCell({ school, title }: Props['second']['rates'][number])}
	{school} <span class="small soft">{title}</span>
{/snippet}

<Disclosure align="start" summary={second.summary} bind:open>
	{#if open}<section aria-label="Second crop" class="part">
			{#if planted}
				<p class="soft small">
					Rates for {second.name} after {second.after}, from the same soil test; nitrate of a sample from before the
					first crop does not count. P2O5 and K2O for both crops can be chosen above, under Details, and go on in one
					pass. Passes from a week before it is planted are checked by its own days.
				</p>
				{#if second.nitrogen}
					<p>
						<strong>N for {second.name}: <Quantity answer={second.nitrogen.rate} /></strong>, by {second.nitrogen.by}: {second
							.nitrogen.why}. {planted.plantingDate
							? 'A proposal plans its passes too.'
							: 'Its passes can be planned once the day of planting is known.'}
					</p>
					{#if second.moved}<p class="small">
							<Severity severity="mind" />
							{second.moved} Save it again to take that.
						</p>{/if}
				{:else if second.lapsed}
					<p class="problem" role="alert">
						The approach chosen for its nitrogen gives no rate any more: choose another.
					</p>
				{/if}
				{#if second.own}<p class="small">{second.own}</p>{/if}
				{#if second.rates.length > 0}
					<div class="table">
						<ListTable
							label={`Rates for ${second.name}`}
							rows={second.rates}
							key={({ method }) => method}
							columns={[
								{ name: 'Nutrient', of: ({ nutrient }) => nutrient, share: 14 },
								{ name: 'Approach', of: ({ school }) => school, cell: approachCell, share: 66 },
								{ name: 'Rate', answer: ({ answer }) => answer, share: 20 }
							]}
						/>
					</div>
				{/if}
				{#if second.lacking.length > 0}
					<p class="small soft">Without a rate: {second.lacking.join('; ')}.</p>
				{/if}
			{/if}
			<form onsubmit={submit} class="form">
				<div class="fields">
					<Select
						size="sm"
						labelText="Second crop"
						bind:selected={crop}
						on:change={() => (goal = crop === planted?.id ? goal : '')}
					>
						{#each annual as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
					</Select>
					<NumberField facts={factsIn(SecondCropBounds.yieldGoal, unitOf(crop), page.units)} bind:text={goal} />
					<DayField label="Planted on" placeholder={`${page.year}-07-01`} bind:date={plantingDate} />
				</div>
				{#if planted?.id === crop}
					<SecondNitrogenFields
						name={second.name}
						rates={second.rates}
						units={page.units}
						bind:method
						bind:ownRate
						bind:reason
					/>
				{/if}
				{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
				<div class="row">
					<Button size="small" kind="tertiary" type="submit">
						{planted ? 'Save the second crop' : 'Add the second crop'}
					</Button>
					{#if planted}<Button size="small" kind="ghost" onclick={() => set(null)}>Remove it</Button>{/if}
				</div>
			</form>
		</section>{/if}
</Disclosure>

<style>
	.part {
		display: grid;
		gap: 0.6rem;
		padding: 0.3rem 0 0.8rem;
	}
	.table {
		max-width: 52rem;
	}
	.form {
		display: grid;
		gap: 0.8rem;
		max-width: 44rem;
	}
</style>
