<!-- A product of the adviser's own: its card as the label gives it. -->
<script lang="ts">
	import { placementName } from '$core/units/placement-name';
	import { messageOf } from '$core/check/message-of';
	import { keysOf } from '$core/check/typed-object';
	import { Button, Checkbox, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { NUTRIENTS } from '$core/season/plan/pass/pass-nutrients';
	import type { Placement, Product } from '$core/schema-types';
	import { ProductBounds } from '$core/schema-types/bounds';
	import NumberField from '../forms/NumberField.svelte';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { factsIn, typedNumber, type NumberFacts } from '../forms/number-within';
	import { keptNumbers } from '../forms/typed-amount';
	import { save } from '../forms/call';

	interface Props {
		placements: readonly Placement[];
		units: UnitSystem;
		/** What each hazard says, so that it is known by its words. */
		hazards: readonly { id: Product['hazards'][number]; text: string }[];
	}
	const { placements, units, hazards }: Props = $props();

	const FORMS = ['nitrate', 'ammonium', 'urea'] as const;
	interface Form {
		name: string;
		state: Product['state'];
		numbers: Record<keyof typeof ProductBounds, string>;
		analysis: Record<string, string>;
		forms: Record<string, string>;
		placed: Record<string, boolean>;
		hazard: Record<string, boolean>;
	}
	const empty = (): Form => ({
		name: '',
		state: 'dry',
		numbers: { densityLbPerGal: '', saltIndex: '', chloridePercent: '' },
		analysis: {},
		forms: {},
		placed: {},
		hazard: {}
	});
	let form = $state(empty());
	let problem = $state('');
	let notice = $state('');
	const nitrogen = $derived(Number(form.analysis.N) > 0);

	const shareOf = (label: string): NumberFacts => ({ label, least: 0, most: 100, unit: '%' });

	/** @throws RangeError in words the adviser can act on */
	function read<T>(typed: T | string): T {
		if (typeof typed === 'string') throw new RangeError(typed);
		return typed;
	}

	/** @throws RangeError in words the adviser can act on */
	function card(): Omit<Product, 'id'> {
		const name = form.name.trim();
		if (name === '') throw new RangeError('Give the product a name, such as “Bulk mix 12-24-12”.');
		const chosen = placements.filter((one) => form.placed[one]);
		if (chosen.length === 0) throw new RangeError('Say where it may go: choose at least one placement.');
		const analysis: Product['analysis'] = {};
		for (const nutrient of NUTRIENTS) {
			const percent = read(typedNumber(form.analysis[nutrient] ?? '', shareOf(nutrient)));
			if (percent) analysis[nutrient] = percent;
		}
		const numbers = read(keptNumbers(form.numbers, {}, ProductBounds, units));
		if (form.state === 'liquid' && !numbers.densityLbPerGal)
			throw new RangeError(`A liquid needs its density, ${unitInSystem('lb/gal', units)}.`);
		const [nitrate = 0, ammonium = 0, urea = 0] = FORMS.map((one) =>
			read(typedNumber(form.forms[one] ?? '', shareOf(one)))
		);
		const sum = nitrate + ammonium + urea;
		if (nitrogen && sum > 0 && Math.abs(sum - 100) > 0.01) {
			throw new RangeError(`The forms of nitrogen must add up to 100 %; they add up to ${sum}.`);
		}
		return {
			name,
			state: form.state,
			analysis,
			placements: chosen,
			hazards: hazards.map(({ id }) => id).filter((id) => form.hazard[id]),
			basis: 'adviser',
			...numbers,
			...(nitrogen && sum > 0 ? { nitrogenForms: { nitrate, ammonium, urea } } : {})
		};
	}

	async function keep(): Promise<void> {
		notice = '';
		let product: Omit<Product, 'id'>;
		try {
			product = card();
		} catch (error) {
			problem = messageOf(error);
			return;
		}
		problem = await save('POST /api/products', {}, { product: { ...product, id: 'new' } });
		if (problem) return;
		notice = `${product.name} is in the catalogue.`;
		form = empty();
	}
</script>

<section class="section" aria-label="A product of your own">
	<h2>A product of your own</h2>
	<p class="soft">As its label gives it, in percent by weight. A name that is there already is replaced.</p>
	<div class="fields">
		<TextInput size="sm" labelText="Name of the product" bind:value={form.name} />
		<Select size="sm" labelText="State" bind:selected={form.state}>
			<SelectItem value="dry" text="dry" />
			<SelectItem value="liquid" text="liquid" />
			<SelectItem value="gas" text="gas" />
		</Select>
		{#each keysOf(ProductBounds) as name (name)}
			<NumberField
				facts={factsIn(ProductBounds[name], ProductBounds[name].unit, units)}
				bind:text={form.numbers[name]}
			/>
		{/each}
	</div>
	<div class="fields narrow">
		{#each NUTRIENTS as nutrient (nutrient)}
			<NumberField
				facts={shareOf(nutrient)}
				bind:text={() => form.analysis[nutrient] ?? '', (text) => (form.analysis[nutrient] = text)}
			/>
		{/each}
	</div>
	{#if nitrogen}
		<p class="soft small">
			Its nitrogen by form, in percent of all of it; without them the season leaves it out of the balance.
		</p>
		<div class="fields narrow">
			{#each FORMS as one (one)}
				<NumberField facts={shareOf(one)} bind:text={() => form.forms[one] ?? '', (text) => (form.forms[one] = text)} />
			{/each}
		</div>
	{/if}
	<fieldset>
		<legend>Where it may go</legend>
		{#each placements as one (one)}<Checkbox labelText={placementName(one)} bind:checked={form.placed[one]} />{/each}
	</fieldset>
	<fieldset class="wide">
		<legend>Cautions that go with it</legend>
		{#each hazards as { id, text } (id)}<Checkbox labelText={text} bind:checked={form.hazard[id]} />{/each}
	</fieldset>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if notice}<p role="status">{notice}</p>{/if}
	<Button size="small" onclick={keep}>Save the product</Button>
</section>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
		gap: 0.8rem 1.2rem;
		max-width: 64rem;
		margin-bottom: 0.8rem;
	}
	.narrow {
		grid-template-columns: repeat(auto-fill, minmax(6rem, 1fr));
	}
	fieldset {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
		max-width: 64rem;
		margin-bottom: 0.8rem;
	}
	.wide {
		grid-template-columns: 1fr;
	}
	legend {
		font-weight: 600;
		margin-bottom: 0.2rem;
	}
</style>
