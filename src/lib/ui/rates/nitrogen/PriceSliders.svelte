<!-- The price of grain and of nitrogen, each from well under to well over what it is on the list. -->
<script lang="ts">
	import { Slider } from 'carbon-components-svelte';

	interface Props {
		prices: { grain: number; nitrogen: number };
		/** Where the sliders' range comes from. */
		start: { grain: number; nitrogen: number };
		grainUnit: string;
		grainName: string;
		label: string;
	}
	let { prices = $bindable(), start, grainUnit, grainName, label }: Props = $props();

	/** Cents for bushels, hundredths of a cent for pounds of oilseed. */
	const grainStep = $derived(start.grain < 1 ? 0.005 : 0.05);
	const most = (price: number, step: number) => Math.ceil((price * 2.5) / step) * step;
</script>

<fieldset>
	<legend>{label}</legend>
	<Slider
		fullWidth
		labelText={`${grainName}, ${grainUnit}`}
		min={grainStep}
		max={+most(start.grain, grainStep).toFixed(3)}
		step={grainStep}
		bind:value={prices.grain}
	/>
	<Slider
		fullWidth
		labelText="Nitrogen, $ per lb"
		min={0}
		max={+most(start.nitrogen, 0.05).toFixed(2)}
		step={0.01}
		bind:value={prices.nitrogen}
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
