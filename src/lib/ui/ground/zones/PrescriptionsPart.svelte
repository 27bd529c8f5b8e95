<!-- Prescriptions: made for a pass, handed out as files, read back, and what the monitor says went on. -->
<script lang="ts">
	import Mark from '../../figure/Mark.svelte';
	import { messageOf } from '$core/check/message-of';
	import { Button, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Pass, Prescription, PrescriptionAction, RateNutrient } from '$core/schema-types';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { unitInSystem, valueFromSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { numberOrUndefined } from '../../forms/numbers';
	import PrescriptionCard, { type MadePrescription } from './PrescriptionCard.svelte';
	import { call } from '../../forms/call';

	interface Props {
		fieldId: string;
		year: number;
		today: string;
		units: UnitSystem;
		/** Open passes with the nutrients that may drive them, the first as usual. */
		passes: readonly {
			plan: Pass;
			productName: string;
			drives: readonly RateNutrient[];
			cautions: readonly string[];
		}[];
		prescriptions: readonly MadePrescription[];
		shown: string | undefined;
		show: (id: string | undefined) => void;
	}
	const { fieldId, year, today, units, passes, prescriptions, shown, show }: Props = $props();

	let passId = $state(untrack(() => passes[0]?.plan.id ?? ''));
	const pass = $derived(passes.find(({ plan }) => plan.id === passId) ?? passes[0]);
	let drivenBy = $state<RateNutrient | undefined>();
	const driver = $derived(pass && drivenBy && pass.drives.includes(drivenBy) ? drivenBy : pass?.drives[0]);
	let by = $state<'zone' | 'cell'>('zone');
	let cell = $state('15');
	let least = $state('0');
	let most = $state('');
	let step = $state('');
	let classes = $state('');
	let outside = $state('');
	let problem = $state('');
	let busy = $state(false);

	/** In the units that are shown. */
	const unit = $derived(pass ? unitInSystem(pass.plan.unit, units) : '');
	const even = $derived(pass ? valueInSystem(pass.plan.rate, pass.plan.unit, units) : 0);
	const usualStep = $derived(unit === 'lb/ac' || unit === 'kg/ha' || unit === 'L/ha' ? 5 : 0.1);
	const usualMost = $derived(Math.ceil((even * 2) / usualStep) * usualStep);
	/** Whether the pass is no longer the one that a prescription was made for; an applied pass is past changing. */
	function changedSince({ pass: of, flat, product, unit: own }: Prescription): boolean {
		const now = passes.find(({ plan }) => plan.id === of)?.plan;
		return now !== undefined && (now.rate !== flat || now.product !== product.id || now.unit !== own);
	}

	function read(text: string, label: string, usual: number, lowest = 0): number {
		if (text.trim() === '') return usual;
		const value = numberOrUndefined(text);
		if (value === undefined || value < lowest || value > 100_000)
			throw new RangeError(`${label}: “${text}” must be a number from ${lowest}.`);
		return value;
	}

	async function make(): Promise<void> {
		if (!pass || !driver) return;
		const { plan } = pass;
		/** What was typed, in the unit of the pass; a thousandth is finer than any machine. */
		const typed = (text: string, label: string, usual: number, lowest = 0) =>
			Math.round(valueFromSystem(read(text, label, usual, lowest), plan.unit, units) * 1000) / 1000;
		let action: PrescriptionAction;
		try {
			const many = classes.trim() === '' ? undefined : Math.round(read(classes, 'Classes', 0, 1));
			action = {
				pass: pass.plan.id,
				drivenBy: driver,
				limits: {
					least: typed(least, 'Least', 0),
					most: typed(most, 'Most', usualMost),
					step: Math.max(0.1, typed(step, 'Steps', usualStep, 0.1)),
					...(many === undefined ? {} : { classes: many })
				},
				outside: typed(outside, 'Outside', 0),
				...(by === 'cell' ? { cellM: read(cell, 'Cells', 15, 2) } : {})
			};
		} catch (error) {
			problem = messageOf(error);
			return;
		}
		busy = true;
		const { answer, problem: failed } = await call(
			'POST /api/fields/{field}/{year}/prescriptions',
			{ field: fieldId, year },
			action
		);
		busy = false;
		problem = failed ?? '';
		if (answer) show(answer.id);
	}
</script>

<section class="section" aria-label="Prescriptions">
	<h2>Prescriptions</h2>
	{#if passes.length === 0}
		<p class="soft">No open pass supplies a nutrient with a chosen rate. Plan passes under Season.</p>
	{:else if pass}
		<div class="fields">
			<Select
				size="sm"
				labelText="For the pass"
				selected={pass.plan.id}
				on:update={({ detail }) => (passId = String(detail))}
			>
				{#each passes as { plan, productName } (plan.id)}<SelectItem
						value={plan.id}
						text={`${plan.label}, ${productName}`}
					/>{/each}
			</Select>
			{#key pass.plan.id}
				<Select
					size="sm"
					labelText="Follows the rates of"
					selected={driver ?? ''}
					on:update={({ detail }) => (drivenBy = detail as RateNutrient)}
				>
					{#each pass.drives as nutrient (nutrient)}<SelectItem value={nutrient} text={nutrient} />{/each}
				</Select>
			{/key}
			<Select size="sm" labelText="By" bind:selected={by}>
				<SelectItem value="zone" text="zones" />
				<SelectItem value="cell" text="cells, from the layers" />
			</Select>
			{#if by === 'cell'}<TextInput size="sm" labelText="Cells of, m" bind:value={cell} />{/if}
			<TextInput size="sm" labelText={`Least, ${unit}`} bind:value={least} />
			<TextInput
				size="sm"
				labelText={`Most, ${unit}`}
				placeholder={formatNumber(usualMost, 'ratio')}
				bind:value={most}
			/>
			<TextInput size="sm" labelText="In steps of" placeholder={String(usualStep)} bind:value={step} />
			<TextInput size="sm" labelText="At most so many rates" placeholder="any" bind:value={classes} />
			<TextInput size="sm" labelText={`Outside, ${unit}`} placeholder="0" bind:value={outside} />
		</div>
		<p class="soft small">
			The pass puts on {formatQuantity(even, unit)} for the whole field; each zone gets as much more or less as its own rate
			of {driver} is to the field’s.
		</p>
		{#each pass.cautions as caution, at (at)}<p class="caution small"><Mark /> {caution}</p>{/each}
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		<Button size="small" disabled={busy} onclick={make}>Make the prescription</Button>
	{/if}

	{#each prescriptions as prescription (prescription.id)}
		<PrescriptionCard
			{prescription}
			{today}
			{units}
			changed={changedSince(prescription.content)}
			shown={prescription.id === shown}
			show={() => show(prescription.id === shown ? undefined : prescription.id)}
		/>
	{/each}
</section>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(12.5rem, 1fr));
		gap: 0.7rem 1rem;
		margin-bottom: 0.6rem;
	}
	.caution {
		color: var(--accent-ink);
		margin: 0.15rem 0;
	}
</style>
