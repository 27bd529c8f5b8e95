<script lang="ts">
	import {
		countBack,
		cupsPerPalm,
		distanceForLoad,
		groundSpeed,
		nozzleFlow,
		per100FtOfRow,
		perTree,
		rateFromLoad,
		tonsFromSheet
	} from '$core/supply/calibration/rates';
	import { leafSpray } from '$core/supply/calibration/leaf-spray';
	import { acresPerLoad } from '$core/supply/loads';
	import { figure } from '$core/figure/figure';
	import { KG_PER_LB } from '$core/units/factors';
	import PalmDoses from '$lib/ui/supply/calibration/PalmDoses.svelte';
	import PanTest from '$lib/ui/supply/calibration/PanTest.svelte';
	import { lengthText } from '$core/units/length-text';
	import Sum from '$lib/ui/supply/calibration/Sum.svelte';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	const units = $derived(data.settings.units);
	const stretch = $derived(units === 'us' ? '100 ft' : '100 m');
	const BY = $derived([units === 'us' ? 'planted acre' : 'planted hectare', 'treated band'] as const);
</script>

<div class="page">
	<h1>Calibration</h1>
	<p class="soft">Cards for the yard: check the machine before the field does. Print this page to take it along.</p>
	<div class="cards">
		<div class="stack">
			<PanTest {units} />
			<PalmDoses />
		</div>
		<div class="stack">
			<Sum
				{units}
				title="Sheet on the ground"
				note="Lime or manure caught on a sheet of known area."
				fields={[
					{ name: 'lb', label: 'Caught', unit: 'lb', start: '2', metric: '1' },
					{ name: 'ft2', label: 'Sheet', unit: 'ft2', start: '22', metric: '2' }
				]}
				sum={([lb, ft2]) => [{ words: 'Spread:', figure: tonsFromSheet(lb!, ft2!) }]}
			/>
			<Sum
				{units}
				title="A load over a distance"
				note="A litter box or a spreader that was weighed."
				fields={[
					{ name: 'lb', label: 'Load', unit: 'lb', start: '8000', metric: '4000' },
					{ name: 'swath', label: 'Swath', unit: 'ft', start: '30', metric: '9' },
					{ name: 'distance', label: 'Distance', unit: 'ft', start: '1900', metric: '600' },
					{ name: 'wanted', label: 'Wanted', unit: 'lb/ac', start: '6000', metric: '7000' }
				]}
				sum={([lb, swath, distance, wanted]) => [
					{ words: 'Spread:', figure: rateFromLoad(lb!, swath!, distance!) },
					{ words: 'At the wanted rate the load lasts', figure: distanceForLoad(lb!, swath!, wanted!) }
				]}
			/>
			<Sum
				{units}
				title="Nozzles"
				note="Catch one nozzle for a minute and compare."
				fields={[
					{ name: 'rate', label: 'Rate', unit: 'gal/ac', start: '20', metric: '200' },
					{ name: 'speed', label: 'Speed', unit: 'mph', start: '6', metric: '10' },
					{ name: 'spacing', label: 'Between nozzles', unit: 'in', start: '20', metric: '50' }
				]}
				sum={([rate, speed, spacing]) => [{ words: 'Each nozzle gives', figure: nozzleFlow(rate!, speed!, spacing!) }]}
			/>
			<Sum
				{units}
				title="Leaf spray"
				note="What part of the need it can be. Urea to 2 % on fruit and 5 to 6 % on cereals, salts 1 to 2 %; in the cool of the evening on dry leaves, label first. Phosphorus and potassium on soybean are hit and miss."
				fields={[
					{ name: 'gallons', label: 'Spray', unit: 'gal/ac', start: '20', metric: '200' },
					{ name: 'strength', label: 'Strength, %', start: '2' },
					{ name: 'analysis', label: 'Nutrient in the product, %', start: '46' },
					{ name: 'need', label: 'Need of the crop', unit: 'lb/ac', start: '60', metric: '65' },
					{ name: 'price', label: 'Product', unit: '$/short ton', start: '1200', metric: '1300' }
				]}
				sum={([gallons, strength, analysis, need, price]) => {
					const { product, delivered, share, cost } = leafSpray(gallons!, strength!, analysis!, need!, price!);
					return [
						{ words: 'Product:', figure: product },
						{ words: 'Delivered:', figure: delivered },
						{ words: 'Of the need:', figure: share },
						{ words: units === 'us' ? 'A pound delivered costs' : 'A kilogram delivered costs', figure: cost }
					];
				}}
			/>
			<Sum
				{units}
				title="Ground speed"
				note="Time the machine over a measured stretch, rolling."
				fields={[
					{ name: 'feet', label: 'Stretch', unit: 'ft', start: '176', metric: '50' },
					{ name: 'seconds', label: 'Seconds', start: '20' }
				]}
				sum={([feet, seconds]) => [{ words: 'Speed:', figure: groundSpeed(feet!, seconds!) }]}
			/>
			<Sum
				{units}
				title="Tank or box"
				note="What one load covers."
				fields={[
					{ name: 'capacity', label: 'Holds', unit: 'gal', start: '1000', metric: '4000' },
					{ name: 'rate', label: 'Rate', unit: 'gal/ac', start: '20', metric: '200' }
				]}
				sum={([capacity, rate]) => {
					const covered = acresPerLoad(rate!, capacity!, 'gal');
					return covered.applies ? [{ words: 'One load covers', figure: covered }] : [];
				}}
			/>
			<Sum
				{units}
				title="Count back"
				note="What was on hand before and after tells what went on; look at edge rows against the middle where it is off."
				fields={[
					{ name: 'before', label: 'Before', unit: 'lb', start: '40000', metric: '18000' },
					{ name: 'after', label: 'After', unit: 'lb', start: '9500', metric: '4000' },
					{ name: 'acres', label: 'Area', unit: 'ac', start: '150', metric: '60' },
					{ name: 'planned', label: 'Planned', unit: 'lb/ac', start: '200', metric: '220' }
				]}
				sum={([before, after, acres, planned]) => {
					const { rate, off } = countBack(before!, after!, acres!, planned!);
					return [
						{ words: 'Went on:', figure: rate },
						{ words: 'Against the plan:', figure: off }
					];
				}}
			/>
			<Sum
				{units}
				title="For each tree"
				note={`Rate by planted ${units === 'us' ? 'acre' : 'hectare'}, spread under the canopy; palms by cups of 0.5 kg.`}
				fields={[
					{ name: 'rate', label: 'Rate', unit: 'lb/ac', start: '200', metric: '220' },
					{ name: 'rows', label: 'Rows', unit: 'ft', start: '23', metric: '7' },
					{ name: 'trees', label: 'In the row', unit: 'ft', start: '23', metric: '7' }
				]}
				sum={([rate, rows, trees]) => {
					const each = perTree(rate!, rows!, trees!);
					const { cups } = cupsPerPalm(each.value * KG_PER_LB);
					return [
						{ words: 'Each tree:', figure: each },
						{
							words: 'In whole cups of 0.5 kg:',
							figure: figure({
								label: 'cups',
								value: cups,
								unit: 'cups',
								formula: 'kg / 0.5, rounded',
								inputs: [each],
								basis: 'practice'
							})
						}
					];
				}}
			/>
			<Sum
				{units}
				title={`For ${stretch} of row`}
				note={`Ask whether a printed rate is for the ${BY[0]} or for the treated band: on ${lengthText(12, units)} rows the same words deliver a third.`}
				fields={[
					{ name: 'rate', label: 'Rate', unit: 'lb/ac', start: '250', metric: '280' },
					{ name: 'width', label: 'Row spacing or band', unit: 'ft', start: '12', metric: '3.5' }
				]}
				choice={{ label: 'The rate is by', options: BY }}
				sum={([rate, width], by) => [
					{
						words: `${stretch} of row take`,
						figure: per100FtOfRow(rate!, width!, by === 'treated band' ? 'treated band' : 'planted acre')
					}
				]}
			/>
		</div>
	</div>
</div>

<style>
	.cards {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(min(24rem, 100%), 1fr));
		gap: 1.5rem 3rem;
		align-items: start;
	}
	.stack {
		display: grid;
		gap: 1.6rem;
	}
</style>
