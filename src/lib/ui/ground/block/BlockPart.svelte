<!-- The planting of a perennial: what stands, how far apart, how it is watered and fed. -->
<script lang="ts">
	import { Button, Checkbox, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import type { Answer } from '$core/figure/figure';
	import type { Block } from '$core/schema-types';
	import { BlockBounds } from '$core/schema-types/bounds';
	import { lengthText } from '$core/units/length-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import Quantity from '../../figure/Quantity.svelte';
	import { save } from '../../forms/call';
	import NumberField from '../../forms/NumberField.svelte';
	import { blockFormOf, blockOfForm, FLOORS, numbersAsked, WATERS } from './block-form';

	interface Props {
		fieldId: string;
		block: Block | undefined;
		figures: readonly Answer[];
		units: UnitSystem;
	}
	const { fieldId, block, figures, units }: Props = $props();

	let editing = $state(false);
	let problem = $state('');
	let form = $state(blockFormOf(undefined));
	/** What the form started from. */
	let seen: Block | null = null;

	function edit(): void {
		form = blockFormOf(block);
		seen = block ?? null;
		problem = '';
		editing = true;
	}

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const read = blockOfForm(form, seen);
		if (typeof read === 'string') return void (problem = read);
		problem = await save('PUT /api/fields/{field}/block', { field: fieldId }, { block: read, seen });
		if (problem === '') editing = false;
	}

	/** As it was typed; feet in metres for who reads metric. */
	const length = (typed: number) => (block?.lengthUnit === 'm' ? `${typed} m` : lengthText(typed, units));
	const spacing = $derived.by(() => {
		if (!block?.plantSpacing) return undefined;
		if (block.layout === 'triangle') return `triangle of ${length(block.plantSpacing)}`;
		return block.rowSpacing ? `${length(block.rowSpacing)} x ${length(block.plantSpacing)}` : undefined;
	});
	const facts = $derived(
		(
			[
				['Planted', block && String(block.plantedYear)],
				['Spacing', spacing],
				['Treated strip', block?.treatedWidth && length(block.treatedWidth)],
				['Floor', block?.floor],
				['Water', block?.water],
				['Variety', block?.variety],
				['Ripens', block?.season],
				['Bears', block?.bears],
				['Rootstock', block?.rootstock],
				['Managed', block?.organic ? 'organic' : undefined]
			] as const
		).filter(([, value]) => value)
	);
</script>

<section class="section" aria-label="Block">
	<div class="row head">
		<h2>Block</h2>
		{#if !editing}<Button size="small" kind="tertiary" onclick={edit}
				>{block ? 'Change the block' : 'Describe the block'}</Button
			>{/if}
	</div>
	{#if editing}
		<form onsubmit={keep}>
			<div class="fields">
				<NumberField facts={BlockBounds.plantedYear} bind:text={form.numbers.plantedYear} />
				<Select size="sm" labelText="Lengths are in" bind:selected={form.lengthUnit}>
					<SelectItem value="ft" text="feet" />
					<SelectItem value="m" text="metres" />
				</Select>
				<Select size="sm" labelText="Layout" bind:selected={form.layout}>
					<SelectItem value="rows" text="in rows" />
					<SelectItem value="triangle" text="in triangles" />
				</Select>
				{#each numbersAsked(form.layout) as name (name)}
					{@const facts = { unit: form.lengthUnit, ...BlockBounds[name] }}
					<NumberField
						{facts}
						placeholder={name === 'plantsCounted' ? 'by spacing' : ''}
						bind:text={form.numbers[name]}
					/>
				{/each}
				<Select size="sm" labelText="Floor" bind:selected={form.floor}>
					<SelectItem value="" text="Not known" />
					{#each FLOORS as floor (floor)}<SelectItem value={floor} text={floor} />{/each}
				</Select>
				<Select size="sm" labelText="Water" bind:selected={form.water}>
					<SelectItem value="" text="Not known" />
					{#each WATERS as water (water)}<SelectItem value={water} text={water} />{/each}
				</Select>
				<TextInput size="sm" labelText="Variety" bind:value={form.variety} />
				<Select size="sm" labelText="Ripens" bind:selected={form.season}>
					<SelectItem value="" text="Not known" />
					{#each ['early', 'mid', 'late'] as season (season)}<SelectItem value={season} text={season} />{/each}
				</Select>
				<Select size="sm" labelText="Bears" bind:selected={form.bears}>
					<SelectItem value="" text="Not known" />
					{#each ['every year', 'every other year'] as bears (bears)}<SelectItem value={bears} text={bears} />{/each}
				</Select>
				<TextInput size="sm" labelText="Rootstock" bind:value={form.rootstock} />
				<Checkbox labelText="Organic: only sources its rules allow" bind:checked={form.organic} />
			</div>
			{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
			<div class="row">
				<Button size="small" type="submit">Save the block</Button>
				<Button size="small" kind="ghost" onclick={() => (editing = false)}>Cancel</Button>
			</div>
		</form>
	{:else if block}
		<dl class="fact-grid">
			{#each facts as [name, value], at (at)}<div>
					<dt>{name}</dt>
					<dd>{value}</dd>
				</div>{/each}
			{#each figures as answer, at (at)}<div>
					<dt>{answer.label.charAt(0).toUpperCase() + answer.label.slice(1)}</dt>
					<dd><Quantity {answer} /></dd>
				</div>{/each}
		</dl>
	{:else}
		<p class="soft">Not described yet. Year planted and spacings give the age and the rate for each plant and row.</p>
	{/if}
</section>

<style>
	.head {
		align-items: center;
	}
	form {
		display: grid;
		gap: 0.9rem;
		/* The map follows at once. */
		margin-bottom: 1.2rem;
	}
</style>
