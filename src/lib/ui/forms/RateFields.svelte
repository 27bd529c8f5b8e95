<!-- The rate of a product and the unit that it is given in, of those that the product is measured by. -->
<script lang="ts">
	import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import type { Pass } from '$core/schema-types';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';

	interface Props {
		id?: string;
		/** As it is typed, in the reader's units. */
		rate: string;
		unit: Pass['unit'];
		choices: readonly Pass['unit'][];
		units: UnitSystem;
		choose: (unit: Pass['unit']) => void;
	}
	let { id, rate = $bindable(), unit, choices, units, choose }: Props = $props();
</script>

<TextInput
	{id}
	size="sm"
	labelText={`Product rate, ${unitInSystem(unit, units)}`}
	inputmode="decimal"
	bind:value={rate}
/>
{#if choices.length > 1}
	<Select size="sm" labelText="In" selected={unit} on:update={({ detail }) => choose(detail as Pass['unit'])}>
		{#each choices as choice (choice)}<SelectItem value={choice} text={unitInSystem(choice, units)} />{/each}
	</Select>
{/if}
