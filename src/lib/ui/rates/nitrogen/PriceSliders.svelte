<!-- The price of grain and of nitrogen, each from well under to well over what it is on the list. -->
<script lang="ts">
	import { Slider } from 'carbon-components-svelte';
	import { unitInSystem, valueFromSystem, type UnitSystem } from '$core/units/rate-units';
	import { typedAmount } from '../../forms/typed-amount';

	interface Props {
		prices: { grain: number; nitrogen: number };
		/** Where the sliders' range comes from. */
		start: { grain: number; nitrogen: number };
		/** With the weight of its bushel. */
		grainUnit: string;
		units: UnitSystem;
		grainName: string;
		label: string;
	}
	let { prices = $bindable(), start, grainUnit, units, grainName, label }: Props = $props();

	/** Cents for bushels, hundredths of a cent for pounds of oilseed. */
	const STEPS = { grain: { us: 0.05, metric: 1 }, nitrogen: { us: 0.01, metric: 0.02 } };
	const grainStep = $derived(start.grain < 1 ? STEPS.grain[units] / 10 : STEPS.grain[units]);
	const most = (price: number, step: number) => Math.ceil((price * 2.5) / step) * step;
	const perLb = '$ per lb';
	const shown = (price: number, unit: string) => Number(typedAmount(price, unit, units));
	/** A slider knows its step alone: what it shows again of a kept price changes none. */
	function move(which: 'grain' | 'nitrogen', unit: string, value: number): void {
		if (Math.abs(value - shown(prices[which], unit)) < 1e-9) return;
		prices[which] = valueFromSystem(value, unit, units);
	}
</script>

<fieldset>
	<legend>{label}</legend>
	<Slider
		fullWidth
		labelText={`${grainName}, ${unitInSystem(grainUnit, units)}`}
		min={grainStep}
		max={+most(shown(start.grain, grainUnit), grainStep).toFixed(3)}
		step={grainStep}
		value={shown(prices.grain, grainUnit)}
		on:input={({ detail }) => move('grain', grainUnit, Number(detail))}
		on:change={({ detail }) => move('grain', grainUnit, Number(detail))}
	/>
	<Slider
		fullWidth
		labelText={`Nitrogen, ${unitInSystem(perLb, units)}`}
		min={0}
		max={+most(shown(start.nitrogen, perLb), 0.05).toFixed(2)}
		step={STEPS.nitrogen[units]}
		value={shown(prices.nitrogen, perLb)}
		on:input={({ detail }) => move('nitrogen', perLb, Number(detail))}
		on:change={({ detail }) => move('nitrogen', perLb, Number(detail))}
	/>
</fieldset>

<style>
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
		display: grid;
		gap: 0.5rem;
	}
	legend {
		font-weight: 600;
		margin-bottom: 0.3rem;
	}
	fieldset :global(.bx--slider__range-label) {
		font-size: 0.75rem;
	}
	fieldset :global(.bx--slider-container) {
		min-width: 0;
	}
	fieldset :global(.bx--slider) {
		min-width: 6rem;
	}
	fieldset :global(.bx--slider-text-input) {
		width: 4.4rem;
	}
</style>
