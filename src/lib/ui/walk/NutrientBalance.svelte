<!-- What went on a field less what the harvests took off, by year, and all years together. -->
<script lang="ts">
	import { BALANCED, type YearBalance } from '$core/season/plan/balance/nutrient-balance';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import Quantity from '../figure/Quantity.svelte';
	import ListTable from '../tables/ListTable.svelte';

	interface Props {
		/** The newest first. */
		years: readonly YearBalance[];
		units: UnitSystem;
	}
	const { years, units }: Props = $props();

	/** A nutrient that no year can say is not shown. */
	const shown = $derived(BALANCED.filter((nutrient) => years.some((year) => year.nutrients[nutrient].ofYear.applies)));
	const unit = $derived(unitInSystem('lb/ac', units));
	const newest = $derived(years[0]);
</script>

<ListTable
	label="Nutrient balance by year"
	rows={years}
	key={({ year }) => String(year)}
	columns={[
		{ name: 'Year', of: ({ year }) => year },
		{ name: 'Crop', of: ({ crop }) => crop },
		...shown.map((nutrient) => ({
			name: `${nutrient}, ${unit}`,
			answer: (year: YearBalance) => year.nutrients[nutrient].ofYear,
			bare: true
		}))
	]}
/>
{#if newest && years.length > 1}
	<p>
		All years together:
		{#each shown as nutrient, at (nutrient)}{at > 0 ? ', ' : ''}{nutrient}
			<strong><Quantity answer={newest.nutrients[nutrient].together} /></strong>{/each}.
	</p>
{/if}
<p class="soft small">
	Applied less taken off with the harvest. Below zero the crop lived on the ground; of manure and residues the nitrogen
	of the first year counts.
</p>
