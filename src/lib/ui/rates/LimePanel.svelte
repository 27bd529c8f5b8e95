<!-- Around the lime rate: what to lime with, how, what it brings and how long it lasts. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem } from 'carbon-components-svelte';
	import { LimingActionBounds } from '$core/schema-types/bounds';
	import { quantityIn } from '$core/units/amount-text';
	import { formatNumber } from '$core/units/display';
	import { inSystem, unitInSystem } from '$core/units/rate-units';
	import ListTable from '../tables/ListTable.svelte';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import { factsIn } from '../forms/number-within';
	import { keptNumber, typedAmount } from '../forms/typed-amount';
	import NumberField from '../forms/NumberField.svelte';
	import LimeForm from '../supply/LimeForm.svelte';
	import Quantity from '../figure/Quantity.svelte';
	import { save } from '../forms/call';

	interface Props {
		lime: NonNullable<RatesPage['lime']>;
		page: RatesPage['goalPage'];
	}
	const { lime, page }: Props = $props();
	type Material = (typeof lime.materials)[number];

	// What is typed stands until the book says otherwise: an undo is seen here too.
	let material = $derived(lime.material);
	let placement = $derived<string>(lime.placement);
	/** Its label in the schema names the unit. */
	const depthFacts = { ...LimingActionBounds.depthIn, label: 'Depth to lime' };
	let depth = $derived(typedAmount(lime.depthIn, 'in', page.units));
	let problem = $state('');
	let adding = $state(false);

	const cheapest = $derived(Math.min(...lime.materials.flatMap(({ price }) => (price.applies ? [price.value] : []))));

	/** The guide limes again long before all is used up: the two years are told apart by their pH. */
	const untilTrigger = $derived.by(() => {
		const next = lime.liming?.yearsUntilNext;
		const [start, trigger] = next?.applies ? next.inputs : [];
		if (!start?.applies || !trigger?.applies) return 'Until the guide limes again';
		return `From pH ${formatNumber(start.value, 'pH')} to ${formatNumber(trigger.value, 'pH')}, where the guide limes again`;
	});

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const depthIn = keptNumber(depth, lime.depthIn, depthFacts, 'in', page.units);
		if (typeof depthIn === 'string') return void (problem = depthIn);
		problem = await save(
			'PUT /api/fields/{field}/{year}/liming',
			{ field: page.fieldId, year: page.year },
			{
				placement: placement as 'incorporated' | 'surface',
				product: material,
				...(depthIn === undefined ? {} : { depthIn })
			}
		);
	}
</script>

{#snippet priceCell({ price }: Material)}
	{#if price.applies}{#if price.value === cheapest}<span class="soft small cheapest">cheapest</span>{/if}<Quantity
			answer={inSystem(price, page.units)}
			bare
		/>{:else}<span class="soft small">no price yet</span>{/if}
{/snippet}
{#snippet usedCell({ id }: Material)}{id === lime.material ? '✓ in use' : ''}{/snippet}

<div class="facts">
	<div>
		<span class="soft small">pH now</span>
		<strong
			>{#if lime.soilPh.applies}<Quantity answer={lime.soilPh} />{:else}not known{/if}</strong
		>
	</div>
	<div>
		<span class="soft small">Target</span>
		<strong
			>{#if lime.target.applies}<Quantity answer={lime.target} />{:else}none{/if}</strong
		>
	</div>
	{#if lime.liming}
		<div>
			<span class="soft small">Brings in a year, less its cost (illustrative)</span>
			{#if lime.liming.payBack.applies}<strong><Quantity answer={lime.liming.payBack} /></strong>{:else}<span
					>{lime.liming.payBack.reason}</span
				>{/if}
		</div>
		<div>
			<span class="soft small">Until all of it is used up (illustrative)</span>
			{#if lime.liming.yearsItLasts.applies}<strong><Quantity answer={lime.liming.yearsItLasts} /></strong>
				<span class="soft small">{lime.liming.yearsItLasts.cautions[0]}</span>{:else}<span
					>{lime.liming.yearsItLasts.reason}. {lime.liming.yearsItLasts.remedy}</span
				>{/if}
		</div>
		<div>
			<span class="soft small">{untilTrigger} (illustrative)</span>
			{#if lime.liming.yearsUntilNext.applies}<strong><Quantity answer={lime.liming.yearsUntilNext} /></strong
				>{:else}<span>{lime.liming.yearsUntilNext.reason}. {lime.liming.yearsUntilNext.remedy}</span>{/if}
		</div>
	{/if}
</div>
{#if lime.gap}<p>{lime.gap}</p>{/if}
{#if !lime.target.applies}<p>{lime.target.reason}. {lime.target.remedy}</p>{/if}
{#if lime.liming}<p>
		<strong
			>{lime.liming.kind.take === 'either'
				? 'Dolomitic or calcitic'
				: lime.liming.kind.take === 'dolomitic'
					? 'Take dolomitic'
					: 'Take calcitic'}.</strong
		>
		{lime.liming.kind.why}
	</p>{/if}

<ListTable
	label="Limes"
	rows={lime.materials}
	key={({ id }) => id}
	rowClass={({ id }) => (id === lime.material ? 'shown' : '')}
	columns={[
		{ name: 'Lime', of: ({ name }) => name },
		{ name: 'Effective share', answer: ({ fraction }) => fraction, bare: true },
		{
			name: `${unitInSystem('$ per short ton', page.units)} of effective lime`,
			of: ({ price }) => (price.applies ? price.value : undefined),
			cell: priceCell,
			number: true
		},
		{ name: '', cell: usedCell }
	]}
/>

<form onsubmit={keep} class="row liming">
	<Select size="sm" labelText="Lime" bind:selected={material}>
		{#each lime.materials as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
	</Select>
	<Select size="sm" labelText="How" bind:selected={placement}>
		<SelectItem value="incorporated" text="Worked in" />
		<SelectItem value="surface" text="On the surface (no-till, standing orchard)" />
	</Select>
	<NumberField
		facts={factsIn(depthFacts, 'in', page.units)}
		placeholder={placement === 'surface' ? `top ${quantityIn(page.units, 4, 'in')}` : 'by the guide'}
		bind:text={depth}
	/>
	<Button size="small" type="submit">Use this lime</Button>
	{#if !adding}<Button size="small" kind="ghost" onclick={() => (adding = true)}>Add your quarry’s lime</Button>{/if}
</form>
{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}

{#if adding}
	<LimeForm
		saved={(product) => {
			material = product;
			adding = false;
		}}
	/>
{/if}

{#if lime.plan}
	<p>
		{#if lime.plan.applications.length > 1}
			{#each lime.plan.applications as { season, rate }, at (at)}<span class="part"
					>{page.year + season}: <strong><Quantity answer={rate} /></strong></span
				>{/each}
		{/if}
		{lime.plan.why}
	</p>
{/if}
{#if lime.liming?.underCanopy}
	{@const { perBlockAcre, perPlant } = lime.liming.underCanopy}
	<p>
		{#if perBlockAcre.applies}
			Under the canopy only: spread the rate on the ground under the trees. That is
			<strong><Quantity answer={perBlockAcre} /></strong> for an acre of the block{#if perPlant.applies}, <strong
					><Quantity answer={perPlant} /></strong
				> for each tree{/if}.
		{:else}
			No dose for the canopy only: {perBlockAcre.reason}. {perBlockAcre.remedy}
		{/if}
	</p>
{/if}
<p class="small soft">
	Never past the target: over-liming ties up zinc, iron and manganese. Pelletised lime is only faster, not stronger.
</p>

<style>
	.facts {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(9rem, 1fr));
		gap: 0.8rem 1.5rem;
		margin-bottom: 0.8rem;
	}
	.facts div {
		display: grid;
		align-content: start;
	}
	.facts strong {
		font-size: 1.2rem;
	}
	.liming {
		align-items: end;
		gap: 1rem;
		margin: 0.9rem 0;
	}
	.cheapest {
		margin-right: 0.6rem;
	}
	.part {
		margin-right: 1rem;
	}
</style>
