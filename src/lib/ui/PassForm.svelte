<!-- One pass: date, product, rate, placement, with the product's cautions at the choice. -->
<script lang="ts">
	import { InlineNotification, Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Additive, Pass } from '$core/schema-types';
	import { unitInSystem, valueFromSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { numberOrUndefined } from './numbers';

	interface CatalogueEntry {
		id: string;
		name: string;
		placements: Pass['placement'][];
		isLime: boolean;
		/** It carries some, so that an inhibitor makes sense. */
		nitrogen: boolean;
		cautions: string[];
	}
	interface Props {
		pass: Pass | undefined;
		catalogue: CatalogueEntry[];
		units: UnitSystem;
		plantingDate: string;
		/** Keeps the pass; gives back what went wrong. */
		keep: (pass: Pass) => Promise<string | undefined>;
		close: () => void;
	}
	const { pass, catalogue, units, plantingDate, keep, close }: Props = $props();

	const ADDITIVES: Additive[] = ['urease inhibitor', 'nitrification inhibitor', 'both inhibitors'];

	let problem = $state('');
	let open = $state(true);
	let form = $state(
		untrack(() => ({
			label: pass?.label ?? '',
			date: pass?.date ?? plantingDate,
			product: pass?.product ?? catalogue[0]!.id,
			rate: pass ? String(+valueInSystem(pass.rate, pass.unit, units).toFixed(2)) : '',
			placement: (pass?.placement ?? catalogue[0]!.placements[0]!) as string,
			depth: pass?.depthIn === undefined ? '' : String(pass.depthIn),
			additive: (pass?.additive ?? '') as string,
			reason: pass?.reason ?? ''
		}))
	);
	const product = $derived(catalogue.find(({ id }) => id === form.product)!);
	const unit = $derived<Pass['unit']>(product.isLime ? 'short ton/ac' : 'lb/ac');

	async function save(): Promise<void> {
		const rate = numberOrUndefined(form.rate);
		if (form.label.trim() === '') return void (problem = 'Give the pass a name, such as “Starter”.');
		if (!/^\d{4}-\d\d-\d\d$/.test(form.date))
			return void (problem = `The date “${form.date}” must be written as 2027-05-01.`);
		if (rate === undefined || rate <= 0) return void (problem = `The rate “${form.rate}” must be a number above 0.`);
		const depthIn = numberOrUndefined(form.depth);
		if (form.depth.trim() !== '' && !(depthIn !== undefined && depthIn >= 0 && depthIn <= 24))
			return void (problem = `The depth “${form.depth}” must be a number of inches from 0 to 24.`);
		problem =
			(await keep({
				id: pass?.id ?? 'new',
				label: form.label.trim(),
				date: form.date,
				product: form.product,
				rate: valueFromSystem(rate, unit, units),
				unit,
				placement: form.placement as Pass['placement'],
				reason: form.reason.trim(),
				...(depthIn === undefined ? {} : { depthIn }),
				...(form.additive && product.nitrogen ? { additive: form.additive as Additive } : {})
			})) ?? '';
	}
</script>

<Modal
	bind:open
	modalHeading={pass ? `Change ${pass.label}` : 'Add a pass'}
	primaryButtonText="Keep the pass"
	secondaryButtonText="Cancel"
	selectorPrimaryFocus="#pass-label"
	hasForm
	on:click:button--secondary={close}
	on:close={close}
	on:submit={save}
>
	<div class="stack">
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		<TextInput id="pass-label" size="sm" labelText="Pass" bind:value={form.label} />
		<div class="fields">
			<TextInput size="sm" type="date" labelText="Date" bind:value={form.date} />
			<Select
				size="sm"
				labelText="Product"
				bind:selected={form.product}
				on:update={({ detail }) => {
					const { placements } = catalogue.find(({ id }) => id === detail)!;
					if (!placements.includes(form.placement as Pass['placement'])) form.placement = placements[0]!;
				}}
			>
				{#each catalogue as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			<TextInput
				size="sm"
				labelText={`Product rate, ${unitInSystem(unit, units)}`}
				inputmode="decimal"
				bind:value={form.rate}
			/>
			<Select size="sm" labelText="Placement" bind:selected={form.placement}>
				{#each product.placements as placement (placement)}<SelectItem value={placement} text={placement} />{/each}
			</Select>
			<TextInput size="sm" labelText="Depth, in" placeholder="as usual" inputmode="decimal" bind:value={form.depth} />
			{#if product.nitrogen}
				<Select size="sm" labelText="Inhibitor" bind:selected={form.additive}>
					<SelectItem value="" text="none" />
					{#each ADDITIVES as additive (additive)}<SelectItem value={additive} text={additive} />{/each}
				</Select>
			{/if}
		</div>
		<TextInput size="sm" labelText="Why" bind:value={form.reason} />
		{#each product.cautions as caution (caution)}<p class="caution">▲ {caution}</p>{/each}
		<p class="soft small">Pounds of product, not of nutrient.</p>
	</div>
</Modal>

<style>
	.stack {
		display: grid;
		gap: 0.9rem;
	}
	.caution {
		color: var(--accent-ink);
		margin: 0;
	}
</style>
