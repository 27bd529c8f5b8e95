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
	import Sum from '$lib/ui/supply/calibration/Sum.svelte';

	const BY = ['planted acre', 'treated band'] as const;
</script>

<div class="page">
	<h1>Calibration</h1>
	<p class="soft">Cards for the yard: check the machine before the field does. Print this page to take it along.</p>
	<div class="cards">
		<div class="stack">
			<PanTest />
			<PalmDoses />
		</div>
		<div class="stack">
			<Sum
				title="Sheet on the ground"
				note="Lime or manure caught on a sheet of known area."
				fields={[
					{ name: 'lb', label: 'Caught, lb', start: '2' },
					{ name: 'ft2', label: 'Sheet, ft2', start: '22' }
				]}
				sum={([lb, ft2]) => [{ words: 'Spread:', figure: tonsFromSheet(lb!, ft2!) }]}
			/>
			<Sum
				title="A load over a distance"
				note="A litter box or a spreader that was weighed."
				fields={[
					{ name: 'lb', label: 'Load, lb', start: '8000' },
					{ name: 'swath', label: 'Swath, ft', start: '30' },
					{ name: 'distance', label: 'Distance, ft', start: '1900' },
					{ name: 'wanted', label: 'Wanted, lb/ac', start: '6000' }
				]}
				sum={([lb, swath, distance, wanted]) => [
					{ words: 'Spread:', figure: rateFromLoad(lb!, swath!, distance!) },
					{ words: 'At the wanted rate the load lasts', figure: distanceForLoad(lb!, swath!, wanted!) }
				]}
			/>
			<Sum
				title="Nozzles"
				note="Catch one nozzle for a minute and compare."
				fields={[
					{ name: 'rate', label: 'Rate, gal/ac', start: '20' },
					{ name: 'speed', label: 'Speed, mph', start: '6' },
					{ name: 'spacing', label: 'Between nozzles, in', start: '20' }
				]}
				sum={([rate, speed, spacing]) => [{ words: 'Each nozzle gives', figure: nozzleFlow(rate!, speed!, spacing!) }]}
			/>
			<Sum
				title="Leaf spray"
				note="What part of the need it can be. Urea to 2 % on fruit and 5 to 6 % on cereals, salts 1 to 2 %; in the cool of the evening on dry leaves, label first. Phosphorus and potassium on soybean are hit and miss."
				fields={[
					{ name: 'gallons', label: 'Spray, gal/ac', start: '20' },
					{ name: 'strength', label: 'Strength, %', start: '2' },
					{ name: 'analysis', label: 'Nutrient in the product, %', start: '46' },
					{ name: 'need', label: 'Need of the crop, lb/ac', start: '60' },
					{ name: 'price', label: 'Product, $/short ton', start: '1200' }
				]}
				sum={([gallons, strength, analysis, need, price]) => {
					const { product, delivered, share, cost } = leafSpray(gallons!, strength!, analysis!, need!, price!);
					return [
						{ words: 'Product:', figure: product },
						{ words: 'Delivered:', figure: delivered },
						{ words: 'Of the need:', figure: share },
						{ words: 'A pound delivered costs', figure: cost }
					];
				}}
			/>
			<Sum
				title="Ground speed"
				note="Time the machine over a measured stretch, rolling."
				fields={[
					{ name: 'feet', label: 'Stretch, ft', start: '176' },
					{ name: 'seconds', label: 'Seconds', start: '20' }
				]}
				sum={([feet, seconds]) => [{ words: 'Speed:', figure: groundSpeed(feet!, seconds!) }]}
			/>
			<Sum
				title="Tank or box"
				note="What one load covers."
				fields={[
					{ name: 'capacity', label: 'Holds, gal', start: '1000' },
					{ name: 'rate', label: 'Rate, gal/ac', start: '20' }
				]}
				sum={([capacity, rate]) => {
					const covered = acresPerLoad(rate!, capacity!, 'gal');
					return covered.applies ? [{ words: 'One load covers', figure: covered }] : [];
				}}
			/>
			<Sum
				title="Count back"
				note="What was on hand before and after tells what went on; look at edge rows against the middle where it is off."
				fields={[
					{ name: 'before', label: 'Before, lb', start: '40000' },
					{ name: 'after', label: 'After, lb', start: '9500' },
					{ name: 'acres', label: 'Acres', start: '150' },
					{ name: 'planned', label: 'Planned, lb/ac', start: '200' }
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
				title="For each tree"
				note="Rate by planted acre, spread under the canopy; palms by cups of 0.5 kg."
				fields={[
					{ name: 'rate', label: 'Rate, lb/ac', start: '200' },
					{ name: 'rows', label: 'Rows, ft', start: '23' },
					{ name: 'trees', label: 'In the row, ft', start: '23' }
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
				title="For 100 ft of row"
				note="Ask whether a printed rate is for the planted acre or for the treated band: on 12 ft rows the same words deliver a third."
				fields={[
					{ name: 'rate', label: 'Rate, lb/ac', start: '250' },
					{ name: 'width', label: 'Row spacing or band, ft', start: '12' }
				]}
				choice={{ label: 'The rate is by', options: BY }}
				sum={([rate, width], by) => [
					{
						words: '100 ft of row take',
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
