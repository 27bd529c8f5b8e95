<!-- Where the soil test will stand in six years by each school, and the crop of the year after. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CropId } from '$core/schema-types';
	import { formatNumber } from '$core/units/display';
	import { unitInSystem } from '$core/units/rate-units';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import Chart from '../charts/Chart.svelte';
	import { lineLook, outlookChart } from '../charts/outlook';
	import { keptAmount, typedAmount } from '../forms/typed-amount';
	import Quantity from '../figure/Quantity.svelte';
	import { save } from '../forms/call';

	interface Props {
		outlook: RatesPage['outlooks'][number];
		nextCrop: RatesPage['nextCrop'];
		/** "Winter wheat and soybean", of a year with a second crop. */
		second: string | undefined;
		page: RatesPage['goalPage'];
	}
	const { outlook, nextCrop, second, page }: Props = $props();
	type School = Props['outlook']['schools'][number];

	const shown = $derived(outlook.schools.filter(({ applies }) => applies));
	const silent = $derived(outlook.schools.filter(({ applies }) => !applies));
	const years = $derived(shown[0]?.years.length ?? 0);
	const lines = $derived(
		shown.map(({ name, years: points, end }) => ({
			name,
			tests: [...points.map(({ soilTest }) => soilTest), end ?? 0]
		}))
	);
	const rateUnit = $derived(shown[0]?.applied?.applies ? shown[0].applied.unit : 'lb/ac');
	const name = $derived(outlook.nutrient === 'P2O5' ? 'phosphate' : 'potash');
	const nextName = $derived(page.crops.find(({ id }) => id === nextCrop?.id)?.name.toLowerCase());
	const annual = $derived(page.crops.filter(({ perennial }) => !perennial));

	const unitOf = (id: string | undefined) => page.crops.find((one) => one.id === id)?.yieldUnit ?? '';
	let crop = $state(untrack(() => nextCrop?.id ?? ''));
	let goal = $state(untrack(() => typedAmount(nextCrop?.yieldGoal, unitOf(nextCrop?.id), page.units)));
	let problem = $state('');
	const next = $derived(page.crops.find(({ id }) => id === crop));

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const before = crop === nextCrop?.id ? nextCrop.yieldGoal : undefined;
		const yieldGoal = keptAmount(goal, before, unitOf(crop), page.units);
		if (crop !== '' && !(yieldGoal && yieldGoal > 0))
			return void (problem = `The yield goal “${goal}” must be a number above 0.`);
		const body = crop === '' ? {} : { crop: crop as CropId, yieldGoal: yieldGoal! };
		problem = await save('PUT /api/fields/{field}/{year}/next-crop', { field: page.fieldId, year: page.year }, body);
	}
</script>

{#snippet schoolCell(school: School)}
	<span class="key" style:background={lineLook(shown.indexOf(school)).color}></span> {school.name}
{/snippet}

<h3>Where each approach takes the soil test</h3>
{#if shown.length > 0}
	<div class="split">
		<Chart
			label={`Soil test over ${years} years by ${shown.length} approaches: ${shown.map(({ name: school, end }) => `${school} ${formatNumber(end ?? 0, 'ppm')} ppm`).join('; ')}`}
			option={outlookChart(lines, page.year, 'ppm')}
			height="270px"
		/>
		<ListTable
			label="Soil test by approach"
			rows={shown}
			key={({ method }) => method}
			columns={[
				{ name: 'Approach', of: ({ name: school }) => school, cell: schoolCell },
				{
					name: 'now',
					answer: ({ endWorksheet }) => (endWorksheet?.applies ? endWorksheet.inputs[0] : undefined),
					bare: true
				},
				{ name: `in ${years} years`, answer: ({ endWorksheet }) => endWorksheet, bare: true },
				{ name: `${rateUnit} over ${years} years`, answer: ({ applied }) => applied, bare: true }
			]}
		/>
	</div>
	<p class="small soft">
		Each year its {name} goes on, the crop takes off, and the test moves by the difference over the {page.units === 'us'
			? 'pounds'
			: 'kilograms'} that make one ppm{#if shown[0]?.lbPerPpm?.applies}:
			<Quantity answer={shown[0].lbPerPpm} /> ({shown[0].name}){/if}.
		{second
			? `${second} count together each year${nextCrop ? `, ${nextName} in turn` : ''}.`
			: nextCrop
				? `${page.crops.find(({ id }) => id === page.goal?.crop)?.name} and ${nextName} in turn, from ${page.year}.`
				: 'The same crop and goal each year.'} Tests by different methods are different numbers.
	</p>
{/if}
{#each silent as school (school.method)}
	<p class="small"><strong>{school.name}</strong> <span class="soft">is not drawn: {school.reason}</span></p>
{/each}
<form onsubmit={keep} class="row next">
	<Select
		size="sm"
		labelText={`Crop in ${page.year + 1}`}
		bind:selected={crop}
		on:change={() => (goal = typedAmount(next?.usualGoal, unitOf(crop), page.units))}
	>
		<SelectItem value="" text="Not named" />
		{#each annual as { id, name: cropName } (id)}<SelectItem value={id} text={cropName} />{/each}
	</Select>
	<TextInput
		size="sm"
		labelText={`Its goal, ${unitInSystem(unitOf(crop), page.units)}`}
		inputmode="decimal"
		bind:value={goal}
	/>
	<Button size="small" type="submit">Reckon with it</Button>
</form>
{#if !second}<p class="small soft">
		With the next crop named, {name} for both can be chosen above and go on in one pass.
	</p>{/if}
{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}

<style>
	.split {
		display: grid;
		grid-template-columns: minmax(300px, 1.2fr) minmax(260px, 1fr);
		gap: 1.5rem;
		align-items: start;
	}
	.key {
		display: inline-block;
		width: 0.75rem;
		height: 0.75rem;
	}
	.next {
		align-items: end;
		gap: 1rem;
		max-width: 42rem;
	}
	@media (max-width: 800px) {
		.split {
			grid-template-columns: 1fr;
		}
	}
</style>
