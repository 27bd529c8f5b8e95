<!-- A house programme: for which crops and ground, by which approaches, with which products and passes. -->
<script lang="ts">
	import type { UnitSystem } from '$core/units/rate-units';
	import { Button, Checkbox, MultiSelect, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import type { RateNutrient } from '$core/schema-types';
	import { keysOf } from '$core/check/typed-object';
	import { ProgrammeGroundBounds, ProgrammePassBounds, RoundingBounds } from '$core/schema-types/bounds';
	import { placementName } from '$core/units/placement-name';
	import FormEnd from '$lib/ui/forms/FormEnd.svelte';
	import { factsIn } from '$lib/ui/forms/number-within';
	import NumberField from '$lib/ui/forms/NumberField.svelte';
	import { TEXTURE_CLASSES } from '$core/ground/texture-classes';
	import type { TypedProgramme } from './typed-programme';

	interface Props {
		typed: TypedProgramme;
		units: UnitSystem;
		crops: readonly { id: string; name: string }[];
		methods: readonly { method: string; nutrient: RateNutrient; name: string; crops: readonly string[] }[];
		products: readonly { id: string; name: string; placements: readonly string[]; N: number }[];
		problem: string;
		/** Of the button that saves. */
		action: string;
		save: () => void;
		cancel: () => void;
	}
	let { typed = $bindable(), units, crops, methods, products, problem, action, save, cancel }: Props = $props();

	/** Of the nutrient, for any of the crops; all crops while none is chosen. */
	const offered = (nutrient: RateNutrient) =>
		methods.filter(
			(one) =>
				one.nutrient === nutrient && (typed.crops.length === 0 || typed.crops.some((crop) => one.crops.includes(crop)))
		);
	const spoken = $derived(typed.rates.filter(({ nutrient, first }) => first !== '' || offered(nutrient).length > 0));
	const withNitrogen = $derived(products.filter(({ N }) => N > 0));
	const placesOf = (id: string) => products.find((product) => product.id === id)?.placements ?? [];

	function submit(event: SubmitEvent): void {
		event.preventDefault();
		save();
	}

	function addPass(): void {
		const product = withNitrogen[0]!;
		const pass = {
			label: '',
			product: product.id,
			placement: product.placements[0]!,
			numbers: { daysFromPlanting: '0', sharePercent: '' }
		};
		typed.nitrogen = [...typed.nitrogen, pass];
	}
</script>

<form onsubmit={submit} aria-label="House programme">
	<div class="fields wide">
		<TextInput size="sm" labelText="Name" maxlength={80} placeholder="Corn on heavy soil" bind:value={typed.name} />
		<MultiSelect
			size="sm"
			labelText="Crops"
			label={typed.crops.length === 0
				? 'say which'
				: crops
						.filter(({ id }) => typed.crops.includes(id))
						.map(({ name }) => name)
						.join(', ')}
			items={crops.map(({ id, name }) => ({ id, text: name }))}
			bind:selectedIds={typed.crops}
		/>
	</div>
	<section aria-label="Ground">
		<h2>On which ground</h2>
		<p class="soft small">What is left empty does not matter. “From” is included, “below” is not.</p>
		<div class="fields narrow">
			{#each keysOf(ProgrammeGroundBounds) as bound (bound)}
				<NumberField facts={ProgrammeGroundBounds[bound]} bind:text={typed.bounds[bound]} />
			{/each}
			<MultiSelect
				size="sm"
				labelText="Textures"
				label={typed.textures.length === 0 ? 'any' : typed.textures.join(', ')}
				items={TEXTURE_CLASSES.map((id) => ({ id, text: id }))}
				bind:selectedIds={typed.textures}
			/>
		</div>
	</section>
	<section aria-label="Approaches">
		<h2>By which approach</h2>
		<p class="soft small">
			The second choice stands in where the first does not apply. What has none stays as it is on the field.
		</p>
		{#each spoken as rate (rate.nutrient)}
			<div class="rate">
				<strong>{rate.nutrient}</strong>
				{#each [['first', 'First choice'], ['second', 'Second choice']] as const as [key, name] (key)}
					<Select size="sm" hideLabel labelText={`${name} for ${rate.nutrient}`} bind:selected={rate[key]}>
						<SelectItem value="" text={key === 'first' ? 'not by this programme' : 'no second choice'} />
						{#each offered(rate.nutrient) as { method, name: title } (method)}
							<SelectItem value={method} text={title} />
						{/each}
					</Select>
				{/each}
				{#if rate.nutrient === 'P2O5' || rate.nutrient === 'K2O'}
					<Checkbox labelText="for two crops in one pass" bind:checked={rate.bothYears} />
				{/if}
			</div>
		{/each}
	</section>
	<section aria-label="Products and rounding">
		<h2>Products and rounding</h2>
		<div class="fields narrow">
			{#each keysOf(RoundingBounds) as name (name)}
				<NumberField
					facts={factsIn(RoundingBounds[name], RoundingBounds[name].unit, units)}
					bind:text={typed.rounding[name]}
				/>
			{/each}
		</div>
		{#each typed.products as swap, at (at)}
			<div class="fields line">
				<Select size="sm" labelText="In place of" bind:selected={swap.instead}>
					<SelectItem value="" text="say which" />
					{#each products as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
				<Select size="sm" labelText="Take" bind:selected={swap.take}>
					<SelectItem value="" text="say which" />
					{#each products as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
				<Button
					size="small"
					kind="ghost"
					onclick={() => (typed.products = typed.products.filter((_, other) => other !== at))}>Remove</Button
				>
			</div>
		{/each}
		<Button size="small" kind="ghost" onclick={() => (typed.products = [...typed.products, { instead: '', take: '' }])}
			>Take another product</Button
		>
	</section>
	<section aria-label="Passes of nitrogen">
		<h2>Passes of nitrogen</h2>
		{#if typed.nitrogen.length === 0}<p class="soft small">By the schedule of the crop.</p>{/if}
		{#each typed.nitrogen as pass, at (at)}
			<div class="fields pass">
				<TextInput size="sm" labelText="Pass" bind:value={pass.label} />
				<Select size="sm" labelText="Product" bind:selected={pass.product}>
					{#each withNitrogen as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
				<Select size="sm" labelText="Placement" bind:selected={pass.placement}>
					{#each placesOf(pass.product) as place (place)}<SelectItem value={place} text={placementName(place)} />{/each}
				</Select>
				<NumberField facts={ProgrammePassBounds.daysFromPlanting} bind:text={pass.numbers.daysFromPlanting} />
				<NumberField facts={ProgrammePassBounds.sharePercent} bind:text={pass.numbers.sharePercent} />
				<Button
					size="small"
					kind="ghost"
					onclick={() => (typed.nitrogen = typed.nitrogen.filter((_, other) => other !== at))}>Remove</Button
				>
			</div>
		{/each}
		<Button size="small" kind="ghost" onclick={addPass}>Add a pass of nitrogen</Button>
	</section>
	<TextInput size="sm" labelText="Note" maxlength={1000} bind:value={typed.note} />
	<FormEnd {problem} {action} {cancel} />
</form>

<style>
	form {
		display: grid;
		gap: 1.2rem;
		max-width: 76rem;
	}
	.wide {
		grid-template-columns: minmax(14rem, 24rem) minmax(14rem, 24rem);
	}
	.narrow {
		grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
	}
	.rate {
		display: grid;
		grid-template-columns: 3.5rem minmax(12rem, 1fr) minmax(12rem, 1fr) 14rem;
		gap: 0.3rem 0.8rem;
		align-items: center;
		margin-bottom: 0.4rem;
	}
	.line {
		grid-template-columns: minmax(12rem, 1fr) minmax(12rem, 1fr) auto;
		align-items: end;
		margin-bottom: 0.4rem;
		max-width: 48rem;
	}
	.pass {
		grid-template-columns: minmax(10rem, 2fr) minmax(9rem, 1fr) minmax(10rem, 1fr) 8rem 7rem auto;
		align-items: end;
		margin-bottom: 0.4rem;
	}
	@media (max-width: 700px) {
		.wide,
		.rate,
		.line,
		.pass {
			grid-template-columns: 1fr;
		}
	}
</style>
