<script lang="ts">
	import { Button, Checkbox } from 'carbon-components-svelte';
	import { formatNumber, formatQuantity } from '$core/units/display';
	import { longDate } from '$core/units/day-text';
	import type { CommonBlend } from '$core/supply/blend/common-blend';
	import Quantity from '$lib/ui/figure/Quantity.svelte';
	import CommonMix from '$lib/ui/supply/CommonMix.svelte';
	import { call, save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	let chosen = $state<Record<string, boolean>>({});
	let problem = $state('');
	let notice = $state('');
	let left = $state<{ field: string; why: string }[]>([]);
	let busy = $state(false);
	let mix = $state.raw<CommonBlend | undefined>();

	const marked = $derived(data.fields.filter(({ id }) => chosen[id]));
	const issued = $derived((marked.length > 0 ? marked : data.fields).flatMap(({ sheet }) => sheet ?? []));
	/** Sheets of one PDF: more would take minutes to print, and their addresses would not fit. */
	const IN_A_FILE = 100;
	const files = $derived(
		Array.from({ length: Math.ceil(issued.length / IN_A_FILE) }, (_file, at) => {
			const part = issued.slice(at * IN_A_FILE, (at + 1) * IN_A_FILE);
			const from = at * IN_A_FILE + 1;
			return {
				query: part.map(({ id }) => `sheet=${id}`).join('&'),
				which: issued.length > IN_A_FILE ? `sheets ${from} to ${from + part.length - 1}` : `${issued.length} sheets`
			};
		})
	);
	const total = $derived([...data.lines, ...data.additives].reduce((sum, { cost = 0 }) => sum + cost, 0));
	const unpriced = $derived(
		[...data.lines, ...data.additives].filter(({ cost }) => cost === undefined).map(({ name }) => name)
	);

	/** So many sheets are issued before the page says how far it is, and may leave off. */
	const AT_ONCE = 25;
	let leaveOff = false;
	let issuing = $state(false);

	async function issue(): Promise<void> {
		const fields = marked.map(({ id }) => id);
		busy = issuing = true;
		leaveOff = false;
		problem = '';
		left = [];
		let done = 0;
		for (let at = 0; at < fields.length && !leaveOff && !problem; at += AT_ONCE) {
			notice = fields.length > AT_ONCE ? `${at} of ${fields.length} fields are done.` : '';
			const { answer, problem: failed } = await call(
				'POST /api/sheets',
				{},
				{
					year: data.year,
					fields: fields.slice(at, at + AT_ONCE)
				}
			);
			problem = failed ?? '';
			left = [...left, ...(answer?.left ?? [])];
			done += answer?.issued.length ?? 0;
		}
		busy = issuing = false;
		notice = done > 0 || !problem ? `${done} sheets issued.` : '';
	}

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

	function markAll(): void {
		const all = marked.length < data.fields.length;
		chosen = Object.fromEntries(data.fields.map(({ id }) => [id, all]));
	}
</script>

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
		<div class="scroll">
			<table class="ledger" aria-label="Order by product">
				<thead>
					<tr>
						<th>Product</th>
						<th>Dealer</th>
						<th class="num">Needed, lb</th>
						<th class="num">Short tons</th>
						<th class="num">Gallons</th>
						<th class="num">To buy</th>
						<th class="num">Cost</th>
						<th>First needed</th>
						<th>Fields</th>
					</tr>
				</thead>
				<tbody>
					{#each data.lines as { id, name, dealer, needed, pounds, gallons, toBuy, cost, firstDate, parts, withoutArea } (id)}
						<tr>
							<td><strong>{name}</strong></td>
							<td>
								<input
									class="dealer"
									aria-label={`Dealer of ${name}`}
									value={dealer}
									onchange={({ currentTarget }) => void setDealer(id, currentTarget.value)}
								/>
							</td>
							<td class="num"><Quantity answer={needed} bare /></td>
							<td class="num">{formatNumber(pounds / 2000, 'short tons')}</td>
							<td class="num">{gallons === undefined ? '' : formatNumber(Math.round(gallons), 'gal')}</td>
							<td class="num"><strong>{formatNumber(toBuy.amount, 'ratio')} {toBuy.unit}</strong></td>
							<td class="num">{cost === undefined ? '' : formatQuantity(cost, '$')}</td>
							<td>{longDate(firstDate)}</td>
							<td>
								<details>
									<summary>{parts.length} {parts.length === 1 ? 'field' : 'fields'}</summary>
									{#each parts as part (part.fieldId)}
										<div class="small">
											<a href={`/field/${part.fieldId}/${data.year}/supply`}>{part.field}</a>
											{formatNumber(Math.round(part.pounds), 'lb')} lb
										</div>
									{/each}
								</details>
								{#if withoutArea.length > 0}<div class="small late">without an area: {withoutArea.join(', ')}</div>{/if}
							</td>
						</tr>
					{/each}
				</tbody>
				<tfoot>
					{#each data.additives as { name, acres, cost } (name)}
						<tr>
							<td><strong>{name}</strong></td>
							<td colspan="5" class="soft">on {formatNumber(acres, 'ac')} acres, at the rate of its label</td>
							<td class="num">{cost === undefined ? '' : formatQuantity(cost, '$')}</td>
							<td colspan="2"></td>
						</tr>
					{/each}
					<tr>
						<td>All together</td>
						<td colspan="5"></td>
						<td class="num"><strong>{formatQuantity(total, '$')}</strong></td>
						<td colspan="2" class="small soft"
							>{unpriced.length > 0 ? `without ${unpriced.join(', ')}: no price` : ''}</td
						>
					</tr>
				</tfoot>
			</table>
		</div>
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
				<Button size="small" disabled={busy || marked.length === 0} onclick={issue}>
					Issue {marked.length}
					{marked.length === 1 ? 'sheet' : 'sheets'}
				</Button>
				<Button size="small" kind="ghost" onclick={markAll}>
					{marked.length < data.fields.length ? 'Choose all' : 'Choose none'}
				</Button>
				<Button size="small" kind="tertiary" disabled={busy || marked.length < 2} onclick={findMix}>
					One mix for the chosen fields
				</Button>
				{#if issuing}<Button size="small" kind="ghost" onclick={() => (leaveOff = true)}>Leave off</Button>{/if}
				{#each files as { query, which } (which)}
					<a href={`/orders/work?${query}`} download>Work orders of {which} (PDF)</a>
					<a href={`/orders/work?what=sheets&${query}`} download>{which} (PDF)</a>
				{/each}
			</div>
			{#if data.preparedBy === ''}<p class="late">Say first who prepares the sheets, on any field’s sheet.</p>{/if}
			{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
			{#if notice}<p role="status">{notice}</p>{/if}
			{#each left as { field, why } (field)}<p class="late">▲ {field}: {why}</p>{/each}
			{#if mix}<CommonMix {mix} nameOf={(id) => data.names[id] ?? id} />{/if}
			<table class="ledger list">
				<thead><tr><th></th><th>Field</th><th>Grower</th><th>Newest sheet</th></tr></thead>
				<tbody>
					{#each data.fields as { id, name, grower, sheet } (id)}
						<tr>
							<td><Checkbox labelText={`Choose ${name}`} hideLabel bind:checked={chosen[id]} /></td>
							<td><a href={`/field/${id}/${data.year}/sheet`}>{name}</a></td>
							<td>{grower}</td>
							<td>
								{#if sheet}<a href={`/sheets/${sheet.id}`}>No. {sheet.number}</a>,
									<a href={`/sheets/${sheet.id}/orders`} download>work orders</a>{:else}<span class="soft"
										>none issued</span
									>{/if}
							</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</section>
	{/if}
</div>

<style>
	.scroll {
		overflow-x: auto;
	}
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
	.problem {
		color: var(--stop);
	}
	.list {
		max-width: 52rem;
		margin-top: 0.8rem;
	}
	.row {
		align-items: center;
		gap: 0.5rem 1.2rem;
	}
	tfoot td {
		border-top: 2px solid var(--rule-strong);
	}
</style>
