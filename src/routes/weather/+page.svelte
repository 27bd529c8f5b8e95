<script lang="ts">
	import { formatNumber } from '$core/units/display';
	import { rainIn, rainUnit, warmthIn } from '$core/units/weather-units';
	import { longDate, shortDate } from '$core/units/day-text';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import OutlookForm from '$lib/ui/season/weather/OutlookForm.svelte';
	import WeatherFileForm from '$lib/ui/season/weather/WeatherFileForm.svelte';
	import { save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Station = PageData['stations'][number];
	let problem = $state('');

	const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
	const metric = $derived(data.units === 'metric');
	const warm = (celsius: number) => formatNumber(Math.round(warmthIn(data.units, celsius)), 'F');
	const water = (mm: number) => formatNumber(metric ? Math.round(mm) : rainIn(data.units, mm), rainUnit(data.units));

	async function use(station: string): Promise<void> {
		problem = await save('PUT /api/weather/station', {}, { station });
	}
</script>

{#snippet nameCell({ name }: Station)}<strong>{name}</strong>{/snippet}
{#snippet latitudeCell({ latitude }: Station)}{formatNumber(latitude, '')}{/snippet}
{#snippet measuredCell({ days, first, last }: Station)}
	{#if first && last}{days} days, {longDate(first)} to {longDate(last)}{:else}nothing{/if}
{/snippet}
{#snippet normalsCell({ simulated, own, days }: Station)}
	{simulated && days === 0
		? 'invented for the demo district'
		: own === 0
			? 'of the stand-in, until three years are measured'
			: `${own} of 12 months its own`}
{/snippet}
{#snippet useCell({ id }: Station)}
	{#if id === data.inUse.id}<strong>in use</strong>{:else}<button type="button" class="plain" onclick={() => use(id)}
			>Use it</button
		>{/if}
{/snippet}

<div class="page">
	<h1>Weather</h1>
	<p class="soft">
		One station stands for the district, unless a grower has another (Ground, “Change the facts”). Its measured days and
		the outlook are what the season’s rules know; beyond them the seasons are simulated from its normals.
	</p>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	<div class="stations">
		<ListTable
			label="Stations"
			rows={data.stations}
			key={({ id }) => id}
			columns={[
				{ name: 'Station', of: ({ name }) => name, cell: nameCell },
				{ name: 'Latitude', of: ({ latitude }) => latitude, cell: latitudeCell, number: true },
				{ name: 'Measured', of: ({ days }) => days, cell: measuredCell },
				{ name: 'Normals', of: ({ own }) => own, cell: normalsCell },
				{ name: '', cell: useCell }
			]}
		/>
	</div>

	{#key data.outlook.own}<OutlookForm own={data.outlook.own} days={data.outlook.days} units={data.units} />{/key}
	<WeatherFileForm units={data.units} />

	<section class="section" aria-label="Normals">
		<h2>A usual year at {data.inUse.name}</h2>
		<p>
			The soil at {metric ? '10 cm' : '4 in'} stays below {metric ? '10 C' : '50 F'} from about
			<strong>{shortDate(data.cold.usual)}</strong>, in eight years of ten between {shortDate(data.cold.early)} and {shortDate(
				data.cold.late
			)}. Measure it before ammonia goes on; the average date alone will not do.
		</p>
		<div class="scroll">
			<table class="ledger">
				<thead>
					<tr
						><th></th>{#each MONTHS as month (month)}<th class="num">{month}</th>{/each}</tr
					>
				</thead>
				<tbody>
					<tr>
						<td>Lowest, {metric ? 'C' : 'F'}</td>
						{#each data.inUse.months as { minC }, at (at)}<td class="num">{warm(minC)}</td>{/each}
					</tr>
					<tr>
						<td>Highest, {metric ? 'C' : 'F'}</td>
						{#each data.inUse.months as { maxC }, at (at)}<td class="num">{warm(maxC)}</td>{/each}
					</tr>
					<tr>
						<td>Rain, {rainUnit(data.units)}</td>
						{#each data.inUse.months as { rainMm }, at (at)}<td class="num">{water(rainMm)}</td>{/each}
					</tr>
					<tr>
						<td>Days with rain</td>
						{#each data.inUse.months as { wetDays }, at (at)}<td class="num">{Math.round(wetDays)}</td>{/each}
					</tr>
				</tbody>
			</table>
		</div>
	</section>
</div>

<style>
	.stations {
		max-width: 62rem;
	}
	.scroll {
		overflow-x: auto;
	}
</style>
