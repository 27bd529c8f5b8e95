<!-- What is to be done to the chosen fields, with what it needs to know. -->
<script lang="ts">
	import type { UnitSystem } from '$core/units/rate-units';
	import { Select, SelectItem, SelectItemGroup, TextArea } from 'carbon-components-svelte';
	import { keysOf } from '$core/check/typed-object';
	import { CropWorkBounds, DaysWorkBounds, GoalByBounds, RoundingBounds } from '$core/schema-types/bounds';
	import { factsIn, type NumberFacts } from '$lib/ui/forms/number-within';
	import NumberField from '../forms/NumberField.svelte';
	import { WORK_NAMES, type TypedWork } from './typed-work';

	interface Named {
		id: string;
		name: string;
	}
	interface Props {
		typed: TypedWork;
		units: UnitSystem;
		programmes: readonly Named[];
		crops: readonly (Named & { yieldUnit: string; grown: boolean })[];
		products: readonly (Named & { planned: boolean })[];
	}
	let { typed = $bindable(), units, programmes, crops, products }: Props = $props();

	const kinds = keysOf(WORK_NAMES);
	const planned = $derived(products.filter((product) => product.planned));
	const yieldUnit = $derived(crops.find(({ id }) => id === typed.crop)?.yieldUnit);
	const goalFacts = (facts: NumberFacts) => (yieldUnit ? factsIn(facts, yieldUnit, units) : facts);
</script>

<div class="fields">
	<Select size="sm" labelText="What to do" bind:selected={typed.kind}>
		{#each kinds as kind (kind)}<SelectItem value={kind} text={WORK_NAMES[kind]} />{/each}
	</Select>
	{#if typed.kind === 'crop'}
		<Select size="sm" labelText="Crop" bind:selected={typed.crop}>
			<SelectItem value="" text="by the rotation of each field" />
			<SelectItemGroup label="in this book">
				{#each crops.filter(({ grown }) => grown) as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</SelectItemGroup>
			<SelectItemGroup label="others">
				{#each crops.filter(({ grown }) => !grown) as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</SelectItemGroup>
		</Select>
		<Select size="sm" labelText="Yield goal" bind:selected={typed.goalBy}>
			<SelectItem value="best" text="best 3 of the last 5 harvests" />
			<SelectItem value="mean" text="mean of the last harvests" />
			<SelectItem value="amount" text="the same for all" />
		</Select>
		{#if typed.goalBy === 'mean'}
			<NumberField facts={GoalByBounds.harvests} bind:text={typed.harvests} />
		{/if}
		{#if typed.goalBy === 'amount'}
			<NumberField
				facts={goalFacts(GoalByBounds.amount)}
				{...yieldUnit ? {} : { unit: 'in the unit of the crop' }}
				bind:text={typed.amount}
			/>
		{:else if typed.crop !== ''}
			<NumberField
				facts={goalFacts(CropWorkBounds.otherwise)}
				placeholder="the goal of last time"
				bind:text={typed.otherwise}
			/>
		{/if}
	{:else if typed.kind === 'crop list'}
		<div class="list">
			<TextArea
				labelText="A line for each field: name, crop, goal"
				placeholder="Kingfisher Bend, soybean, 52"
				rows={4}
				bind:value={typed.list}
			/>
		</div>
	{:else if typed.kind === 'programme'}
		<Select size="sm" labelText="House programme" bind:selected={typed.programme}>
			<SelectItem value="" text="the first that fits crop and soil" />
			{#each programmes as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
		<a class="beside" href="/programmes">{programmes.length === 0 ? 'Write a house programme' : 'House programmes'}</a>
	{:else if typed.kind === 'product'}
		<Select size="sm" labelText="In place of" bind:selected={typed.from}>
			<SelectItem value="" text="say which" />
			{#each planned as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
		<Select size="sm" labelText="Take" bind:selected={typed.to}>
			<SelectItem value="" text="say which" />
			{#each products as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
	{:else if typed.kind === 'days'}
		<NumberField facts={DaysWorkBounds.days} bind:text={typed.days} />
		<Select size="sm" labelText="Passes" bind:selected={typed.product}>
			<SelectItem value="" text="all that are open" />
			{#each planned as { id, name } (id)}<SelectItem value={id} text={`of ${name}`} />{/each}
		</Select>
	{:else if typed.kind === 'rounding'}
		{#each keysOf(RoundingBounds) as name (name)}
			<NumberField
				facts={factsIn(RoundingBounds[name], RoundingBounds[name].unit, units)}
				bind:text={typed.rounding[name]}
			/>
		{/each}
	{/if}
</div>

<style>
	.fields {
		grid-template-columns: repeat(auto-fill, minmax(16.5rem, 1fr));
		align-items: end;
	}
	.list {
		grid-column: span 2;
	}
	.beside {
		padding-bottom: 0.4rem;
	}
</style>
