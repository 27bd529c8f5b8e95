<!-- A lime as its quarry's test gives it becomes a product that lime is rated, planned and ordered by. -->
<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import { keysOf } from '$core/check/typed-object';
	import { LimingMaterialBounds } from '$core/schema-types/bounds';
	import { effectiveFraction } from '$core/rates/lime/liming-material';
	import { quarryLime, sieveFault } from '$core/supply/catalogue/quarry-lime';
	import { typedNumbers, type NumberFacts } from '../forms/number-within';
	import NumberField from '../forms/NumberField.svelte';
	import Quantity from '../figure/Quantity.svelte';
	import { call } from '../forms/call';

	interface Props {
		/** Told of the lime that was saved. */
		saved?: (product: string) => void;
	}
	const { saved }: Props = $props();

	const share = (label: string): NumberFacts => ({ label, least: 0, most: 100, unit: '%' });
	const FACTS = {
		neutralizingValuePercent: {
			...LimingMaterialBounds.neutralizingValuePercent,
			label: 'Neutralizing value (CCE)',
			unit: '%'
		},
		through8Percent: share('Through 8 mesh'),
		through60Percent: share('Through 60 mesh'),
		moisturePercent: { ...share('Moisture'), most: 60, help: 'May be left out.' },
		magnesiumPercent: { ...LimingMaterialBounds.magnesiumPercent, label: 'Mg', unit: '%', help: 'May be left out.' }
	} as const;
	const NEEDED = ['neutralizingValuePercent', 'through8Percent', 'through60Percent'] as const;
	const empty = () => ({
		neutralizingValuePercent: '',
		through8Percent: '',
		through60Percent: '',
		moisturePercent: '',
		magnesiumPercent: ''
	});

	let name = $state('');
	let typed = $state(empty());
	let problem = $state('');
	let notice = $state('');

	const acts = $derived.by(() => {
		const test = typedNumbers(typed, FACTS, NEEDED);
		const { lime } = typeof test === 'string' ? {} : quarryLime(name, test);
		return lime && effectiveFraction(lime);
	});

	async function keep(): Promise<void> {
		notice = '';
		const called = name.trim();
		if (called === '') return void (problem = 'Give the lime a name, such as “Lime, north pit”.');
		const test = typedNumbers(typed, FACTS, NEEDED);
		if (typeof test === 'string') return void (problem = test);
		const lime = quarryLime(called, test);
		const fault = sieveFault(lime.lime);
		if (fault) return void (problem = fault);
		const { answer, problem: failed } = await call('POST /api/products', {}, { product: { ...lime, id: 'new' } });
		problem = failed ?? '';
		if (!answer) return;
		notice = `${called} is in the catalogue.`;
		name = '';
		typed = empty();
		saved?.(answer.id);
	}
</script>

<section class="test" aria-label="The quarry’s test">
	<p class="soft">As the quarry’s test gives it, in percent. A name that is there already is replaced.</p>
	<div class="fields">
		<TextInput size="sm" labelText="Name of the lime" bind:value={name} />
		{#each keysOf(FACTS) as key (key)}
			<NumberField facts={FACTS[key]} bind:text={typed[key]} />
		{/each}
	</div>
	{#if acts?.applies}<p><Quantity answer={acts} /> of it acts.</p>{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if notice}<p role="status">{notice}</p>{/if}
	<Button size="small" kind="tertiary" onclick={keep}>Save this lime</Button>
</section>

<style>
	.test {
		margin-bottom: 0.8rem;
	}
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
		gap: 0.8rem 1.2rem;
		max-width: 64rem;
		margin-bottom: 0.8rem;
	}
</style>
