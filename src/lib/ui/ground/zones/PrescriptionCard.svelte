<!-- One prescription: its parts, what it comes to, its files, and what the monitor says went on. -->
<script module lang="ts">
	import type { Answer } from '$core/figure/figure';
	import type { AsApplied, Pass, Prescription } from '$core/schema-types';

	export interface MadePrescription {
		id: string;
		content: Prescription;
		total: Answer;
		flat: Answer;
		/** Against one rate for the whole field, $; does not apply where a price is missing. */
		cost: Answer;
		applied: readonly AsApplied[];
	}
</script>

<script lang="ts">
	import Mark from '../../figure/Mark.svelte';
	import ListTable from '../../tables/ListTable.svelte';
	import DayField from '../../forms/days/DayField.svelte';
	import FileButton from '../../forms/FileButton.svelte';
	import { untrack } from 'svelte';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { unitInSystem, valueInSystem, type UnitSystem } from '$core/units/rate-units';
	import { longDate } from '$core/units/day-text';
	import Quantity from '../../figure/Quantity.svelte';
	import { sendFile } from '../../forms/call';
	import { PRESCRIPTION_FILES } from './prescription-files';

	interface Props {
		prescription: MadePrescription;
		today: string;
		units: UnitSystem;
		/** Whether its pass was changed after it was made. */
		changed: boolean;
		shown: boolean;
		show: () => void;
	}
	const { prescription, today, units, changed, shown, show }: Props = $props();
	const { id, content, total, flat, cost, applied } = $derived(prescription);
	let notice = $state('');
	let appliedOn = $state(untrack(() => today));

	type Part = Prescription['parts'][number];
	/** What the newest log says of a zone; nothing where no point fell in it. */
	function logOf(zone: string): AsApplied['zones'][number] | undefined {
		const log = applied.at(-1)?.zones.find((one) => one.zone === zone);
		return log && log.points > 0 ? log : undefined;
	}

	const rateText = (rate: number, of: Pass['unit']) =>
		formatQuantity(valueInSystem(rate, of, units), unitInSystem(of, units));
	const areaText = (acres: number) => formatQuantity(valueInSystem(acres, 'ac', units), unitInSystem('ac', units));

	async function readBack(file: File | undefined): Promise<void> {
		if (!file) return;
		const { answer, problem: failed } = await sendFile(
			'POST /api/prescriptions/{prescription}/read-back',
			{ prescription: prescription.id },
			file,
			{ reload: false }
		);
		if (!answer) return void (notice = failed);
		const same =
			answer.differences.length === 0
				? `${file.name} says the same: ${answer.parts} parts.`
				: answer.differences.join(' ');
		notice = same;
	}

	async function takeApplied(file: File | undefined): Promise<void> {
		if (!file) return;
		const { answer, problem: failed } = await sendFile(
			'POST /api/prescriptions/{prescription}/as-applied',
			{ prescription: prescription.id },
			file,
			{ query: { on: appliedOn }, reload: true }
		);
		notice = answer ? `${answer.points} logged points are recorded; the pass is applied.` : failed;
	}
	const amount = (answer: Answer) =>
		answer.applies ? formatQuantity(Math.round(answer.value), answer.unit) : answer.reason;
</script>

{#snippet areaCell({ areaAcres }: Part)}{areaText(areaAcres)}{/snippet}
{#snippet rateCell({ rate, wanted }: Part)}
	<strong>{rateText(rate, content.unit)}</strong>
	{#if wanted !== undefined && Math.abs(wanted - rate) > (content.limits?.step ?? 0)}
		<div class="small late">{rateText(wanted, content.unit)} wanted</div>
	{/if}
{/snippet}
{#snippet appliedCell({ zone }: Part)}
	{@const log = logOf(zone)}
	{log ? rateText(log.applied, content.unit) : 'nothing logged'}
{/snippet}
{#snippet variationCell({ zone }: Part)}
	{@const log = logOf(zone)}
	{log ? `${formatNumber(log.variation, '%')} %` : ''}
{/snippet}

<article class:shown aria-label={content.name}>
	<h3>{content.name}</h3>
	<p class="soft small">
		{content.product.name}, made {longDate(content.madeOn)}{content.preparedBy ? ` by ${content.preparedBy}` : ''}.
	</p>
	{#if changed}<p class="late"><Mark /> The pass was changed since: make the prescription anew.</p>{/if}
	<ListTable
		label={`Parts of ${content.name}`}
		rows={content.parts}
		key={({ zone }) => zone}
		columns={[
			{ name: 'Part', of: ({ zone }) => zone },
			{ name: 'Area', of: ({ areaAcres }) => areaAcres, cell: areaCell, number: true },
			{ name: 'Rate', of: ({ rate }) => rate, cell: rateCell, number: true },
			...(applied.length === 0
				? []
				: [
						{ name: 'Went on', of: ({ zone }: Part) => logOf(zone)?.applied, cell: appliedCell, number: true },
						{ name: 'Varies by', of: ({ zone }: Part) => logOf(zone)?.variation, cell: variationCell, number: true }
					])
		]}
	/>
	<p>
		In all <strong><Quantity answer={total} /></strong>; at one rate {amount(flat)}{#if cost.applies}, which
			{cost.value < 0 ? 'saves' : 'costs'}
			<Quantity answer={{ ...cost, value: Math.abs(cost.value) }} />{cost.value < 0 ? '' : ' more'}{/if}. Outside:
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
		<button type="button" class="plain" onclick={show}>{shown ? 'Take it off the map' : 'Show it on the map'}</button>
	</p>
	<div class="back">
		<FileButton label="Read a file back, to see that it says the same" take={(picked) => void readBack(picked)} />
		<DayField label="Applied on" bind:date={appliedOn} />
		<FileButton label="The monitor’s log (CSV or GeoJSON with “rate”)" take={(picked) => void takeApplied(picked)} />
	</div>
	{#if notice}<p role="status">{notice}</p>{/if}
	{#each content.cautions as caution, at (at)}<p class="caution small"><Mark /> {caution}</p>{/each}
</article>

<style>
	article {
		border: 1px solid var(--rule);
		padding: 0.6rem 1rem 0.8rem;
		margin-top: 1rem;
		max-width: 60rem;
	}
	.shown {
		border-color: var(--action);
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
