<!-- One pass: date, product, rate, placement, with the product's cautions at the choice. -->
<script lang="ts">
	import Mark from '../figure/Mark.svelte';
	import { placementName } from '$core/units/placement-name';
	import { InlineNotification, Modal, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import Severity from '../figure/Severity.svelte';
	import { previewPass } from '$core/season/live/preview-pass';
	import type { PlanContext } from '$core/season/plan/plan-context';
	import type { Additive, Pass } from '$core/schema-types';
	import { PassBounds } from '$core/schema-types/bounds';
	import { isDay } from '$core/units/day-text';
	import { valueFromSystem, valueInSystem } from '$core/units/rate-units';
	import NumberField from '../forms/NumberField.svelte';
	import { factsIn } from '../forms/number-within';
	import { numberOrUndefined } from '../forms/numbers';
	import { keptNumber, keptNumbers, typedAmount, typedAmounts } from '../forms/typed-amount';
	import DayField from '../forms/days/DayField.svelte';
	import RateFields from '../forms/RateFields.svelte';
	import { passUnits, type MeasuredProduct } from '../forms/pass-units';

	interface CatalogueEntry extends MeasuredProduct {
		id: string;
		name: string;
		placements: Pass['placement'][];
		/** It carries some, so that an inhibitor makes sense. */
		nitrogen: boolean;
		/** It asks for moist ground. */
		ammonia: boolean;
		cautions: string[];
	}
	interface Props {
		pass: Pass | undefined;
		/** One more product goes on with this pass. */
		tripOf: Pass | undefined;
		catalogue: CatalogueEntry[];
		context: PlanContext;
		/** The passes that stand, by which the rules judge the one that is typed. */
		plan: readonly Pass[];
		/** Keeps the pass; gives back what went wrong. */
		keep: (pass: Pass) => Promise<string | undefined>;
		close: () => void;
	}
	const { pass, tripOf, catalogue, context, plan, keep, close }: Props = $props();

	const { units, plantingDate } = untrack(() => context);

	const GROUNDS: NonNullable<Pass['ground']>[] = ['moist', 'dry and cloddy', 'too wet'];
	const WITH_SEED: ReadonlySet<Pass['placement']> = new Set(['seed row', '2x2 band']);
	const ADDITIVES: Additive[] = ['urease inhibitor', 'nitrification inhibitor', 'both inhibitors'];

	let problem = $state('');
	let open = $state(true);
	/** As the pickers and the text fields hold it. */
	interface Form {
		label: string;
		date: string;
		product: string;
		unit: Pass['unit'];
		rate: string;
		placement: string;
		inches: Record<'depthIn' | 'offsetIn' | 'openerWidthIn', string>;
		water: string;
		machine: string;
		ground: string;
		additive: string;
		reason: string;
	}
	const { depthIn, offsetIn, openerWidthIn } = PassBounds;
	const INCHES = { depthIn, offsetIn, openerWidthIn };
	let form = $state<Form>(
		untrack(() => ({
			label: pass?.label ?? '',
			date: pass?.date ?? tripOf?.date ?? plantingDate,
			product: pass?.product ?? catalogue[0]!.id,
			unit: pass?.unit ?? 'lb/ac',
			rate: pass ? String(+valueInSystem(pass.rate, pass.unit, units).toFixed(2)) : '',
			placement: pass?.placement ?? catalogue[0]!.placements[0]!,
			inches: typedAmounts(pass ?? {}, INCHES, units),
			water: typedAmount(pass?.waterGalAc, 'gal/ac', units),
			machine: pass?.machine ?? tripOf?.machine ?? '',
			ground: pass?.ground ?? '',
			additive: pass?.additive ?? '',
			reason: pass?.reason ?? ''
		}))
	);
	const product = $derived(catalogue.find(({ id }) => id === form.product)!);
	const places = $derived(placesFor(product));
	const choices = $derived(passUnits(product));
	const unit = $derived(choices.includes(form.unit) ? form.unit : choices[0]!);

	/** Placements of a product in this crop; trees have no seed row. */
	function placesFor({ placements }: CatalogueEntry): Pass['placement'][] {
		return placements.filter((one) => !context.crop.perennial || !WITH_SEED.has(one) || one === pass?.placement);
	}

	/** The pass as it is typed, or what is wrong with it. */
	function typedPass(label: string): Pass | string {
		const rate = numberOrUndefined(form.rate);
		if (label === '') return 'Give the pass a name, such as “Starter”.';
		if (!isDay(form.date)) return `The date “${form.date}” must be written as 2027-05-01.`;
		if (rate === undefined || rate <= 0) return `The rate “${form.rate}” must be a number above 0.`;
		const onLeaves = form.placement === 'leaf';
		const inches = keptNumbers(
			{
				...(onLeaves ? { depthIn: '', offsetIn: '' } : form.inches),
				openerWidthIn: form.placement === 'seed row' ? form.inches.openerWidthIn : ''
			},
			pass ?? {},
			INCHES,
			units
		);
		if (typeof inches === 'string') return inches;
		const waterGalAc = onLeaves
			? keptNumber(form.water, pass?.waterGalAc, PassBounds.waterGalAc, 'gal/ac', units)
			: undefined;
		if (typeof waterGalAc === 'string') return waterGalAc;
		return {
			id: pass?.id ?? 'new',
			label,
			date: form.date,
			product: form.product,
			rate: valueFromSystem(rate, unit, units),
			unit,
			placement: form.placement as Pass['placement'],
			reason: form.reason.trim(),
			...inches,
			...known({
				waterGalAc,
				machine: form.machine.trim() || undefined,
				trip: pass?.trip,
				ground: product.ammonia ? ((form.ground || undefined) as Pass['ground']) : undefined
			}),
			...(form.additive && product.nitrogen ? { additive: form.additive as Additive } : {})
		};
	}

	/** What the pass brings, and what the rules say of it, before it is saved. */
	const seen = $derived.by(() => {
		const typed = typedPass(form.label.trim() || 'This pass');
		return typeof typed === 'string' ? undefined : previewPass(typed, plan, context);
	});

	async function save(): Promise<void> {
		const typed = typedPass(form.label.trim());
		problem = typeof typed === 'string' ? typed : ((await keep(typed)) ?? '');
	}
	function known(fields: Partial<Pass>): Partial<Pass> {
		return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined));
	}
</script>

<Modal
	bind:open
	modalHeading={pass ? `Change ${pass.label}` : tripOf ? `Add a product to ${tripOf.label}` : 'Add a pass'}
	primaryButtonText="Save the pass"
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
			{#if !tripOf}<DayField label="Date" bind:date={form.date} />{/if}
			<Select
				size="sm"
				labelText="Product"
				bind:selected={form.product}
				on:update={({ detail }) => {
					const now = placesFor(catalogue.find(({ id }) => id === detail)!);
					if (!now.includes(form.placement as Pass['placement'])) form.placement = now[0]!;
				}}
			>
				{#each catalogue as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			<RateFields bind:rate={form.rate} {unit} {choices} {units} choose={(now) => (form.unit = now)} />
			<Select size="sm" labelText="Placement" bind:selected={form.placement}>
				{#each places as placement (placement)}<SelectItem value={placement} text={placementName(placement)} />{/each}
			</Select>
			{#if form.placement !== 'leaf'}
				<NumberField
					facts={factsIn(INCHES.depthIn, 'in', units)}
					placeholder="as usual"
					bind:text={form.inches.depthIn}
				/>
				<NumberField
					facts={factsIn(INCHES.offsetIn, 'in', units)}
					placeholder="as usual"
					bind:text={form.inches.offsetIn}
				/>
			{/if}
			{#if form.placement === 'seed row'}
				<NumberField
					facts={factsIn(INCHES.openerWidthIn, 'in', units)}
					placeholder={typedAmount(1, 'in', units)}
					bind:text={form.inches.openerWidthIn}
				/>
			{/if}
			{#if form.placement === 'leaf'}
				<NumberField
					facts={factsIn(PassBounds.waterGalAc, 'gal/ac', units)}
					placeholder="as usual"
					bind:text={form.water}
				/>
			{/if}
			<TextInput size="sm" labelText="Machine" bind:value={form.machine} />
			{#if product.ammonia}
				<Select size="sm" labelText="Ground that day" bind:selected={form.ground}>
					<SelectItem value="" text="not known yet" />
					{#each GROUNDS as ground (ground)}<SelectItem value={ground} text={ground} />{/each}
				</Select>
			{/if}
			{#if product.nitrogen}
				<Select size="sm" labelText="Inhibitor" bind:selected={form.additive}>
					<SelectItem value="" text="none" />
					{#each ADDITIVES as additive (additive)}<SelectItem value={additive} text={additive} />{/each}
				</Select>
			{/if}
		</div>
		<TextInput size="sm" labelText="Why" bind:value={form.reason} />
		{#each product.cautions as caution, at (at)}<p class="caution"><Mark /> {caution}</p>{/each}
		<p class="small" role="status">
			{#if seen && seen.brings !== ''}Brings {seen.brings}.{:else}<span class="soft"
					>The rate is of product, not of nutrient.</span
				>{/if}
		</p>
		{#each seen?.checks ?? [] as { severity, text }, at (at)}<p class="check small">
				<Severity {severity} />
				{text}
			</p>{/each}
	</div>
</Modal>

<style>
	.stack {
		display: grid;
		gap: 0.9rem;
	}
	.check {
		margin: 0;
	}
	.caution {
		color: var(--accent-ink);
		margin: 0;
	}
</style>
