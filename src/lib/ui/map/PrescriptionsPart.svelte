<!-- Prescriptions: made for a pass, handed out as files, read back, and what the monitor says went on. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Answer } from '$core/figure/figure';
	import type { AsApplied, Pass, Prescription, RateNutrient } from '$core/schema-types';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { unitInSystem, valueFromSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { longDate } from '../dates';
	import { numberOrUndefined } from '../numbers';
	import { ask } from '../post';
	import Quantity from '../Quantity.svelte';
	import { PRESCRIPTION_FILES } from './prescription-files';
	import { sendFile } from '../send-file';

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
		prescriptions: readonly {
			id: string;
			content: Prescription;
			total: Answer;
			flat: Answer;
			cost: number | undefined;
			applied: readonly AsApplied[];
		}[];
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
	let told = $state<Record<string, string>>({});
	let appliedOn = $state(untrack(() => today));
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
	const rateText = (rate: number, of: Pass['unit']) =>
		formatQuantity(valueInSystem(rate, of, units), unitInSystem(of, units));
	const areaText = (acres: number) => formatQuantity(valueInSystem(acres, 'ac', units), unitInSystem('ac', units));

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
		let action: unknown;
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
			problem = (error as Error).message;
			return;
		}
		busy = true;
		const { answer, problem: failed } = await ask<{ id: string }>(
			`/api/fields/${fieldId}/${year}/prescriptions`,
			action
		);
		busy = false;
		problem = failed ?? '';
		if (answer) show(answer.id);
	}

	async function readBack(id: string, file: File | undefined): Promise<void> {
		if (!file) return;
		const { answer, problem: failed } = await sendFile<{ parts: number; differences: string[] }>(
			`/api/prescriptions/${id}/read-back`,
			file,
			false
		);
		if (!answer) return void (told = { ...told, [id]: failed });
		const same =
			answer.differences.length === 0
				? `${file.name} says the same: ${answer.parts} parts.`
				: answer.differences.join(' ');
		told = { ...told, [id]: same };
	}

	async function takeApplied(id: string, file: File | undefined): Promise<void> {
		if (!file) return;
		const { answer, problem: failed } = await sendFile<{ points: number }>(
			`/api/prescriptions/${id}/as-applied?on=${appliedOn}`,
			file,
			true
		);
		told = { ...told, [id]: answer ? `${answer.points} logged points are booked; the pass is applied.` : failed };
	}
	const amount = (answer: Answer) =>
		answer.applies ? formatQuantity(Math.round(answer.value), answer.unit) : answer.reason;
</script>

<section class="section" aria-label="Prescriptions">
	<h2>Prescriptions</h2>
	{#if passes.length === 0}
		<p class="soft">No open pass carries a nutrient with a chosen rate. Plan passes under Season.</p>
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
		{#each pass.cautions as caution (caution)}<p class="caution small">▲ {caution}</p>{/each}
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		<Button size="small" disabled={busy} onclick={make}>Make the prescription</Button>
	{/if}

	{#each prescriptions as { id, content, total, flat, cost, applied } (id)}
		<article class:shown={id === shown} aria-label={content.name}>
			<h3>{content.name}</h3>
			<p class="soft small">
				{content.product.name}, made {longDate(content.madeOn)}{content.preparedBy ? ` by ${content.preparedBy}` : ''}.
			</p>
			{#if changedSince(content)}<p class="late">▲ The pass was changed since: make the prescription anew.</p>{/if}
			<div class="scroll">
				<table class="ledger">
					<thead
						><tr
							><th>Part</th><th class="num">Ground</th><th class="num">Rate</th>{#if applied.length > 0}<th class="num"
									>Went on</th
								><th class="num">Varies by</th>{/if}</tr
						></thead
					>
					<tbody>
						{#each content.parts as { zone, rate, areaAcres, wanted } (zone)}
							{@const log = applied.at(-1)?.zones.find((one) => one.zone === zone)}
							<tr>
								<td>{zone}</td>
								<td class="num">{areaText(areaAcres)}</td>
								<td class="num">
									<strong>{rateText(rate, content.unit)}</strong>
									{#if wanted !== undefined && Math.abs(wanted - rate) > (content.limits?.step ?? 0)}
										<div class="small late">{rateText(wanted, content.unit)} wanted</div>
									{/if}
								</td>
								{#if applied.length > 0}
									<td class="num">{log && log.points > 0 ? rateText(log.applied, content.unit) : 'nothing logged'}</td>
									<td class="num">{log && log.points > 0 ? `${formatNumber(log.variation, '%')} %` : ''}</td>
								{/if}
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
			<p>
				In all <strong><Quantity answer={total} /></strong>; at one rate {amount(flat)}{#if cost !== undefined}, which
					{cost < 0 ? `saves ${formatQuantity(-cost, '$')}` : `costs ${formatQuantity(cost, '$')} more`}{/if}. Outside:
				{rateText(content.outside, content.unit)}.
			</p>
			{#if applied.length > 0}
				{@const last = applied.at(-1)!}
				<p>
					Applied {longDate(last.appliedOn)} by the monitor’s log of {last.points} points over {Math.round(
						100 * last.share
					)} % of the ground.
				</p>
			{/if}
			<p class="row files">
				{#each PRESCRIPTION_FILES as { kind, text } (kind)}<a href={`/prescriptions/${id}/${kind}`} download>{text}</a
					>{/each}
				<button type="button" class="plain" onclick={() => show(id === shown ? undefined : id)}
					>{id === shown ? 'Take it off the map' : 'Show it on the map'}</button
				>
			</p>
			<div class="back">
				<label class="file"
					><span class="bx--label">Read a file back, to see that it says the same</span><input
						type="file"
						onchange={({ currentTarget }) => void readBack(id, currentTarget.files?.[0])}
					/></label
				>
				<TextInput size="sm" type="date" labelText="Applied on" bind:value={appliedOn} />
				<label class="file"
					><span class="bx--label">The monitor’s log (CSV or GeoJSON with “rate”)</span><input
						type="file"
						onchange={({ currentTarget }) => void takeApplied(id, currentTarget.files?.[0])}
					/></label
				>
			</div>
			{#if told[id]}<p role="status">{told[id]}</p>{/if}
			{#each content.cautions as caution (caution)}<p class="caution small">▲ {caution}</p>{/each}
		</article>
	{/each}
</section>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(10rem, 1fr));
		gap: 0.7rem 1rem;
		margin-bottom: 0.6rem;
	}
	article {
		border: 1px solid var(--rule);
		padding: 0.6rem 1rem 0.8rem;
		margin-top: 1rem;
		max-width: 60rem;
	}
	.shown {
		border-color: var(--action);
	}
	.scroll {
		overflow-x: auto;
	}
	.files {
		gap: 0.4rem 1.2rem;
	}
	.back {
		display: grid;
		grid-template-columns: 1.3fr 0.7fr 1.3fr;
		gap: 0.8rem 1.4rem;
		align-items: end;
	}
	.late {
		color: var(--accent-ink);
	}
	.caution {
		color: var(--accent-ink);
		margin: 0.15rem 0;
	}
	@media (max-width: 800px) {
		.back {
			grid-template-columns: 1fr;
		}
	}
</style>
