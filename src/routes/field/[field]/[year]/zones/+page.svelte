<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { Shape } from '$core/ground/shapes/shape';
	import type { PlacedPoint, Zone, ZoneFacts } from '$core/schema-types';
	import { formatNumber } from '$core/units/display';
	import { unitInSystem, valueInSystem } from '$core/units/rate-units';
	import { zoneGoals } from '$core/zones/zone-goals';
	import BoundaryPart from '$lib/ui/ground/map/BoundaryPart.svelte';
	import { cutZone } from '$lib/ui/ground/zones/cut-zone';
	import GoalsByYield from '$lib/ui/ground/zones/GoalsByYield.svelte';
	import GroundMap, { type MapMode } from '$lib/ui/ground/map/GroundMap.svelte';
	import { pointsOf } from '$lib/ui/ground/map/layer-points';
	import LayersPart from '$lib/ui/ground/map/LayersPart.svelte';
	import Legend from '$lib/ui/ground/map/Legend.svelte';
	import MapFile from '$lib/ui/ground/map/MapFile.svelte';
	import MapTools from '$lib/ui/ground/map/MapTools.svelte';
	import PointsPart from '$lib/ui/ground/map/PointsPart.svelte';
	import PrescriptionsPart from '$lib/ui/ground/zones/PrescriptionsPart.svelte';
	import ZoneFactsForm from '$lib/ui/ground/zones/ZoneFactsForm.svelte';
	import ZoneRates from '$lib/ui/ground/zones/ZoneRates.svelte';
	import ZonesPart from '$lib/ui/ground/zones/ZonesPart.svelte';
	import type { ShownSurface } from '../../../../../workers/ground-messages';
	import { save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();

	let mode = $state<MapMode>('look');
	let layerId = $state<string | undefined>();
	let surface = $state.raw<ShownSurface | undefined>();
	let chosen = $state<string | undefined>();
	let editing = $state<string | undefined>();
	let measured = $state('');
	let place = $state.raw<[number, number] | undefined>();
	let problem = $state('');

	/** What is on the map stands in the address, so that it can be linked to and gone back from. */
	const shownPrescription = $derived(page.url.searchParams.get('prescription') ?? undefined);
	const prescription = $derived(data.prescriptions.find(({ id }) => id === shownPrescription));
	const layer = $derived(data.layers.find(({ id }) => id === layerId));
	/** Of the layer that is on the map, once they are here. */
	let points = $state.raw<readonly PlacedPoint[]>([]);
	$effect(() => {
		const id = layer?.id;
		points = [];
		if (id === undefined) return;
		pointsOf(data.fieldId, id).then(
			(found) => {
				if (layer?.id === id) points = found;
			},
			(failed: Error) => (problem = failed.message)
		);
	});
	function rateText(rate: number, unit: string): string {
		const { units } = data;
		return formatNumber(valueInSystem(rate, unit, units), unitInSystem(unit, units));
	}
	const areas = $derived.by(() => {
		if (prescription) {
			const rates = prescription.content.parts.map(({ rate }) => rate);
			const [low, high] = [Math.min(...rates), Math.max(...rates)];
			return prescription.content.parts.map(({ zone, rate, shape }) => ({
				name: `${zone}: ${rateText(rate, prescription.content.unit)}`,
				shape: shape,
				share: high === low ? 0.5 : (rate - low) / (high - low)
			}));
		}
		if (surface || layer) return [];
		return data.zones.map(({ name, shape }, at) => ({
			name,
			shape,
			share: data.zones.length === 1 ? 0.3 : (0.8 * at) / (data.zones.length - 1)
		}));
	});

	function setMode(to: MapMode): void {
		mode = to;
		measured = '';
		problem = '';
	}

	function showPrescription(id: string | undefined): void {
		void goto(id ? `?prescription=${id}` : '?', { noScroll: true, keepFocus: true });
	}

	async function drawn(shape: Shape): Promise<void> {
		if (mode === 'mend zone') {
			const zones = data.zones.map(({ name, shape: own, facts }) => ({
				name,
				shape: name === chosen ? shape : own,
				facts
			}));
			return replaceZones(zones);
		}
		if (mode === 'cut') {
			const cut = await cutZone(
				shape,
				data.boundary!,
				data.zones.map((zone) => zone.shape)
			);
			if (!cut) return void (problem = 'Nothing of what was drawn lies in the field outside the other zones.');
			const zones = data.zones.map(({ name, shape: own, facts }) => ({ name, shape: own, facts }));
			const name = freeName(zones.map((zone) => zone.name));
			return replaceZones([...zones, { name, shape: cut, facts: {} }]);
		}
		problem = await save('PUT /api/fields/{field}/boundary', { field: data.fieldId }, { boundary: shape });
		if (mode === 'draw') mode = 'look';
	}

	/** Puts zones in place of those that are shown. */
	async function replaceZones(zones: Zone[]): Promise<void> {
		const seen = data.zones.map(({ id, facts }) => ({ id, facts }));
		problem = await save('PUT /api/fields/{field}/zones', { field: data.fieldId }, { zones, year: data.year, seen });
	}

	function freeName(taken: readonly string[]): string {
		let at = taken.length + 1;
		while (taken.includes(`Zone ${at}`)) at++;
		return `Zone ${at}`;
	}

	async function keepFacts(facts: ZoneFacts, seen: ZoneFacts): Promise<string> {
		const body = { zone: editing!, facts, year: data.year, seen };
		const failed = await save('PUT /api/fields/{field}/zones/facts', { field: data.fieldId }, body);
		if (!failed) editing = undefined;
		return failed;
	}
	const goals = $derived(zoneGoals(data.yieldGoal, data.zones, (zone) => data.means[zone]?.yield));

	const edited = $derived(data.zones.find(({ name }) => name === editing));
</script>

<div class="page">
	<div class="row heads">
		<h1>Map and zones</h1>
		<a href={`/field/${data.fieldId}/${data.year}/ground`}>Facts and samples of the field</a>
	</div>
	<div class="split">
		<div class="left">
			<MapTools {mode} {measured} {setMode} />
			<div class="map">
				<GroundMap
					name={data.name}
					boundary={data.boundary}
					{areas}
					points={surface || !layer ? [] : points}
					{surface}
					{chosen}
					{mode}
					{drawn}
					measured={(text) => (measured = text)}
					placed={(x, y) => (place = [x, y])}
					pick={(name) => (chosen = name)}
				/>
			</div>
			{#if layer && points.length > 0}
				<div class="legend">
					<Legend
						title={surface ? `${layer.name}, surface` : layer.name}
						unit={layer.unit}
						values={surface?.values ?? points.map(([, , value]) => value)}
					/>
				</div>
			{/if}
			{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
		</div>
		<div class="right">
			<BoundaryPart
				fieldId={data.fieldId}
				boundary={data.boundary}
				acres={data.acres}
				units={data.units}
				{mode}
				{setMode}
			/>
			<ZonesPart
				fieldId={data.fieldId}
				year={data.year}
				boundary={data.boundary}
				layers={data.layers}
				zones={data.zones}
				units={data.units}
				{chosen}
				{mode}
				{setMode}
				choose={(name) => (chosen = name === chosen ? undefined : name)}
				edit={(name) => (editing = name)}
			/>
			<LayersPart
				fieldId={data.fieldId}
				boundary={data.boundary}
				layers={data.layers}
				shown={layerId}
				{points}
				{surface}
				show={(id) => (layerId = id)}
				setSurface={(made) => (surface = made)}
			/>
			<PointsPart
				fieldId={data.fieldId}
				{layer}
				{points}
				{mode}
				{setMode}
				{place}
				made={(name) => (layerId = data.layers.find((one) => one.name === name)?.id)}
			/>
			<section aria-label="Import a map file">
				<h2>From a file</h2>
				<MapFile fieldId={data.fieldId} hasBoundary={data.boundary !== undefined} units={data.units} />
			</section>
		</div>
	</div>
	{#if goals}<GoalsByYield
			{goals}
			yieldUnit={data.yieldUnit}
			units={data.units}
			fieldId={data.fieldId}
			year={data.year}
			zones={data.zones}
			failed={(why) => (problem = why)}
		/>{/if}
	{#if data.zones.length > 0}<ZoneRates
			zones={data.rates}
			chosen={data.chosen}
			compared={data.compared}
			units={data.units}
			plans={data.plans}
			seasons={data.seasons}
		/>{/if}
	<PrescriptionsPart
		fieldId={data.fieldId}
		year={data.year}
		today={data.today}
		units={data.units}
		passes={data.passes}
		prescriptions={data.prescriptions}
		shown={shownPrescription}
		show={showPrescription}
	/>
</div>

{#if edited}
	<ZoneFactsForm
		name={edited.name}
		facts={edited.facts}
		means={data.means[edited.name] ?? {}}
		yieldGoal={data.yieldGoal}
		yieldUnit={data.yieldUnit}
		nutrients={data.chosen.map(({ nutrient }) => nutrient)}
		units={data.units}
		keep={keepFacts}
		close={() => (editing = undefined)}
	/>
{/if}

<style>
	.heads {
		align-items: baseline;
		justify-content: space-between;
	}
	.split {
		display: grid;
		grid-template-columns: minmax(320px, 1.35fr) 1fr;
		gap: 2rem;
		align-items: start;
	}
	.left {
		position: sticky;
		top: 4rem;
	}
	.map {
		position: relative;
		height: min(34rem, 70vh);
	}
	.legend {
		margin-top: 0.5rem;
	}
	.right {
		display: grid;
		gap: 1.4rem;
	}
	@media (max-width: 800px) {
		.split {
			grid-template-columns: minmax(0, 1fr);
		}
		.left {
			position: static;
		}
	}
</style>
