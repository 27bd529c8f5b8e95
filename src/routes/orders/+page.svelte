<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { quantityIn } from '$core/units/amount-text';
	import { inSystem, unitInSystem, valueInSystem } from '$core/units/rate-units';
	import { LB_PER_SHORT_TON } from '$core/units/factors';
	import { longDate } from '$core/units/day-text';
	import type { CommonBlend } from '$core/supply/blend/common-blend';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import CommonMix from '$lib/ui/supply/CommonMix.svelte';
	import SheetsLeft from '$lib/ui/work/SheetsLeft.svelte';
	import { IssueSheets } from '$lib/ui/work/issue-sheets.svelte';
	import SheetFiles from '$lib/ui/work/SheetFiles.svelte';
	import type { OpenCautions } from '$core/schema-types';
	import { call, question, save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Line = PageData['lines'][number];
	type Field = PageData['fields'][number];
	let chosen = $state<string[]>([]);
	let problem = $state('');
	const sheets = new IssueSheets();
	let busy = $state(false);
	let mix = $state.raw<CommonBlend | undefined>();

	const marked = $derived(data.fields.filter(({ id }) => chosen.includes(id)));
	const issued = $derived((marked.length > 0 ? marked : data.fields).flatMap(({ sheet }) => sheet ?? []));
	const unit = (us: string) => unitInSystem(us, data.units);
	const whole = (value: number, us: string) => formatNumber(Math.round(valueInSystem(value, us, data.units)), unit(us));
	const total = $derived([...data.lines, ...data.additives].reduce((sum, { cost = 0 }) => sum + cost, 0));
	const priced = $derived([...data.lines, ...data.additives].some(({ cost }) => cost !== undefined));
	const unpriced = $derived(
		[...data.lines, ...data.additives].filter(({ cost }) => cost === undefined).map(({ name }) => name)
	);

	/** What has changed since their sheets were issued, of the first hundred fields. */
	let stale = $state<OpenCautions>({});
	$effect(() => {
		const fields = data.fields.flatMap(({ id, sheet }) => (sheet ? [id] : [])).slice(0, 100);
		if (fields.length === 0) return;
		void question('GET /api/cautions', {}, { year: String(data.year), field: fields }).then(({ answer }) => {
			if (answer) stale = answer;
		});
	});

	async function setDealer(product: string, dealer: string): Promise<void> {
		problem = await save('PUT /api/dealers', {}, { product, dealer });
	}

	async function findMix(): Promise<void> {
		busy = true;
		mix = undefined;
		const fields = marked.map(({ id }) => id);
		const { answer, problem: failed } = await call('POST /api/orders/mix', {}, { year: data.year, fields });
		busy = false;
		problem = failed ?? '';
		mix = answer;
	}
</script>

{#snippet productCell({ name }: Line)}<strong>{name}</strong>{/snippet}
{#snippet dealerCell({ id, name, dealer }: Line)}
	<input
		class="dealer"
		aria-label={`Dealer of ${name}`}
		value={dealer}
		onchange={({ currentTarget }) => void setDealer(id, currentTarget.value)}
	/>
{/snippet}
{#snippet neededCell({ needed }: Line)}<Quantity answer={inSystem(needed, data.units)} bare />{/snippet}
{#snippet tonsCell({ pounds }: Line)}{formatNumber(
		valueInSystem(pounds / LB_PER_SHORT_TON, 'short tons', data.units),
		'short tons'
	)}{/snippet}
{#snippet gallonsCell({ gallons }: Line)}
	{gallons === undefined ? '' : whole(gallons, 'gal')}
{/snippet}
{#snippet buyCell({ toBuy }: Line)}<strong>{formatNumber(toBuy.amount, 'ratio')} {toBuy.unit}</strong>{/snippet}
{#snippet costCell({ cost }: Line)}{cost === undefined ? '' : formatQuantity(cost, '$')}{/snippet}
{#snippet firstCell({ firstDate }: Line)}{longDate(firstDate)}{/snippet}
{#snippet partsCell({ parts, withoutArea }: Line)}
	{parts.length}
	{parts.length === 1 ? 'field' : 'fields'}
	{#if withoutArea.length > 0}<div class="small late">without an area: {withoutArea.join(', ')}</div>{/if}
{/snippet}
{#snippet fieldsOfLine({ parts }: Line)}
	{#each parts as part (part.fieldId)}
		<span class="part">
			<a href={`/field/${part.fieldId}/${data.year}/supply`}>{part.field}</a>
			{whole(part.pounds, 'lb')}
			{unit('lb')}
		</span>
	{/each}
{/snippet}
{#snippet fieldCell({ id, name }: Field)}<a href={`/field/${id}/${data.year}/sheet`}>{name}</a>{/snippet}
{#snippet sheetCell({ id, sheet }: Field)}
	{#if sheet}<a href={`/sheets/${sheet.id}`}>No. {sheet.number}</a>{#if stale[id]?.outOfDate}
			<strong class="late">out of date</strong>{/if},
		<a href={`/sheets/${sheet.id}/orders`} download>work orders</a>{:else}<span class="soft">none issued</span>{/if}
{/snippet}

<div class="page">
	<h1>Orders for {data.year}</h1>
	{#if data.lines.length === 0}
		<div class="empty">
			<h2>Nothing to order</h2>
			<p>
				No pass of {data.year} is open. Plan passes under Season; what they need of each product stands here, over all fields.
			</p>
		</div>
	{:else}
		<p class="soft">What the open passes of all fields need, by product. Applied passes are left out.</p>
		<ListTable
			label="Order by product"
			rows={data.lines}
			key={({ id }) => id}
			expanded={fieldsOfLine}
			columns={[
				{ name: 'Product', of: ({ name }) => name, cell: productCell },
				{ name: 'Dealer', of: ({ dealer }) => dealer, cell: dealerCell },
				{ name: `Needed, ${unit('lb')}`, of: ({ pounds }) => pounds, cell: neededCell, number: true },
				{
					name: data.units === 'us' ? 'Short tons' : 'Tonnes',
					of: ({ pounds }) => pounds / LB_PER_SHORT_TON,
					cell: tonsCell,
					number: true
				},
				{
					name: data.units === 'us' ? 'Gallons' : 'Litres',
					of: ({ gallons }) => gallons,
					cell: gallonsCell,
					number: true
				},
				{ name: 'To buy', of: ({ toBuy }) => toBuy.amount, cell: buyCell, number: true },
				{ name: 'Cost', of: ({ cost }) => cost, cell: costCell, number: true },
				{ name: 'First needed', of: ({ firstDate }) => firstDate, cell: firstCell },
				{ name: 'Fields', of: ({ parts }) => parts.length, cell: partsCell }
			]}
		/>
		<p class="total">
			{#each data.additives as { name, acres, cost }, at (at)}
				<span
					>{name} on {quantityIn(data.units, acres, 'ac')}, at the rate of its label{cost === undefined
						? ''
						: `: ${formatQuantity(cost, '$')}`}</span
				>
			{/each}
			{#if priced}<strong>All together {formatQuantity(total, '$')}</strong>
				{#if unpriced.length > 0}<span class="small soft">without {unpriced.join(', ')}: no price</span>{/if}
			{:else}<span>No prices yet. <a href="/prices">Enter them under Prices</a> to see the cost.</span>{/if}
		</p>
		<p class="row">
			<a href={`/orders/print?year=${data.year}`} download>The order by grower (PDF)</a>
			<a href={`/orders/csv?year=${data.year}`} download>The order by field (CSV)</a>
		</p>

		<section class="section" aria-label="Sheets and work orders">
			<h2>Sheets and work orders</h2>
			<p class="soft">
				Choose fields to issue their sheets at once. Work orders come from the newest issued sheet of each field.
			</p>
			<div class="row">
				<Button
					size="small"
					disabled={busy || sheets.busy || marked.length === 0}
					onclick={() =>
						void sheets.issue(
							data.year,
							marked.map(({ id }) => id)
						)}
				>
					Issue {marked.length}
					{marked.length === 1 ? 'sheet' : 'sheets'}
				</Button>
				<Button size="small" kind="tertiary" disabled={busy || marked.length < 2} onclick={findMix}>
					One mix for the chosen fields
				</Button>
				{#if sheets.busy}<Button size="small" kind="ghost" onclick={() => sheets.leaveOff()}>Leave off</Button>{/if}
				<SheetFiles {issued} />
			</div>
			{#if data.preparedBy === ''}<p class="late">Say first who prepares the sheets, on any field’s sheet.</p>{/if}
			{#if problem || sheets.problem}<p class="problem" role="alert">{problem || sheets.problem}</p>{/if}
			{#if sheets.notice}<p role="status">{sheets.notice}</p>{/if}
			<SheetsLeft {sheets} year={data.year} />
			{#if mix}<CommonMix {mix} nameOf={(id) => data.names[id] ?? id} units={data.units} />{/if}
			<div class="fields-list">
				<ListTable
					label="Fields with a plan"
					rows={data.fields}
					key={({ id }) => id}
					bind:selected={chosen}
					rowHeightPx={38}
					columns={[
						{ name: 'Field', of: ({ name }) => name, cell: fieldCell },
						{ name: 'Grower', of: ({ grower }) => grower },
						{ name: 'Newest sheet', of: ({ sheet }) => sheet?.number, cell: sheetCell }
					]}
				/>
			</div>
		</section>
	{/if}
</div>

<style>
	.dealer {
		width: 9rem;
		border: 1px solid var(--rule);
		background: var(--sheet);
		padding: 0.15rem 0.4rem;
		font: inherit;
		font-size: 0.88rem;
	}
	.late {
		color: var(--accent-ink);
	}
	.fields-list {
		max-width: 52rem;
		margin-top: 0.8rem;
	}
	.row {
		align-items: center;
		gap: 0.5rem 1.2rem;
	}
	.total {
		display: flex;
		flex-wrap: wrap;
		gap: 0.3rem 1.4rem;
		justify-content: flex-end;
		margin: 0.6rem 0;
	}
	.part {
		margin-right: 1.2rem;
		white-space: nowrap;
	}
</style>
