<!-- The rows of a lab file as they will be read; bad cells can be written again, rows left out or sent to a field. -->
<script lang="ts">
	import { analyteName } from '$core/ground/analyte-names';
	import type { Analyte, LabDraft } from '$core/schema-types';
	import { longDate } from '$core/units/day-text';
	import type { ImportPage } from '$lib/server/pages/import-page';

	type Row = NonNullable<ImportPage['preview']>['rows'][number];
	interface Props {
		rows: Row[];
		draft: LabDraft;
		fields: { id: string; name: string }[];
		changed: () => void;
	}
	let { rows, draft = $bindable(), fields, changed }: Props = $props();
	const STEP = 200;
	let shown = $state(STEP);

	/** Rows that wait come first: they are what the adviser has to do. */
	const ordered = $derived(
		[...rows].sort((a, b) => Number(b.status === 'undecided') - Number(a.status === 'undecided'))
	);

	function correct(line: number, column: number, text: string): void {
		(draft.corrections[line] ??= {})[column] = text;
		changed();
	}

	function leaveOut(line: number, out: boolean): void {
		draft.leftOut = out ? [...draft.leftOut, line] : draft.leftOut.filter((other) => other !== line);
		changed();
	}

	function send(line: number, to: string): void {
		const others = Object.entries(draft.targets).filter(([other]) => other !== String(line));
		draft.targets = Object.fromEntries(to === '' ? others : [...others, [String(line), to]]);
		changed();
	}

	function resultsText({ layer }: Row): string {
		return (layer?.results ?? [])
			.map(({ analyte, qualifier, value, unit }) => {
				const shown = unit === 'pH' ? '' : ` ${unit.replace('-furrow', '').replace('100g', '100 g')}`;
				return `${shortName(analyte)} ${qualifier ?? ''}${value}${shown}`;
			})
			.join(', ');
	}

	function shortName(analyte: Analyte): string {
		return analyte === 'bufferPh' || analyte === 'bulkDensity' ? analyteName(analyte) : analyte;
	}
</script>

<table class="ledger">
	<thead>
		<tr><th class="num">Line</th><th>Goes to</th><th>Sampled</th><th>Depth</th><th>Read as</th><th></th></tr>
	</thead>
	<tbody>
		{#each ordered.slice(0, shown) as row (row.line)}
			<tr class:bad={row.status === 'undecided'} class:out={row.status === 'left out'}>
				<td class="num">{row.line}</td>
				<td>
					{#if row.blank}
						<span class="soft">blank line</span>
					{:else}
						{#if row.target}
							{row.target.name}
							<span class="soft small">{row.target.grower}{row.target.fieldId === 'new' ? ', new field' : ''}</span>
						{:else}{row.field}{/if}
						<select
							aria-label={`Field of line ${row.line}`}
							value={draft.targets[row.line] ?? ''}
							onchange={(event) => send(row.line, event.currentTarget.value)}
						>
							<option value="">by its name</option>
							<option value="new">a new field</option>
							{#each fields as field (field.id)}<option value={field.id}>{field.name}</option>{/each}
						</select>
					{/if}
				</td>
				<td class="nowrap">{row.date ? longDate(row.date) : ''}</td>
				<td class="nowrap">{row.layer ? `${row.layer.top}-${row.layer.bottom} ${row.layer.depthUnit}` : ''}</td>
				<td>
					{#if row.problems.length > 0}
						{#each row.problems as { column, message }, index (index)}
							<div class="problem">
								■ {message}
								{#if column >= 0}
									<input
										aria-label={`Write line ${row.line}, ${draft.mapping.columns[column]?.header ?? ''} again`}
										value={row.cells[column] ?? ''}
										onchange={(event) => correct(row.line, column, event.currentTarget.value)}
									/>
								{/if}
							</div>
						{/each}
					{:else}{resultsText(row)}{/if}
				</td>
				<td class="nowrap">
					{#if row.blank}
						left out
					{:else if draft.leftOut.includes(row.line)}
						left out <button type="button" class="plain" onclick={() => leaveOut(row.line, false)}>include</button>
					{:else}
						<button type="button" class="plain" onclick={() => leaveOut(row.line, true)}>Leave out</button>
					{/if}
				</td>
			</tr>
		{/each}
	</tbody>
</table>
{#if ordered.length > shown}
	<p>
		<button type="button" class="plain" onclick={() => (shown += STEP)}
			>Show {Math.min(STEP, ordered.length - shown)} more of {ordered.length}</button
		>
	</p>
{/if}

<style>
	.bad td {
		background: var(--stop-wash);
	}
	.out td {
		color: var(--ink-soft);
	}
	.problem {
		color: var(--stop);
	}
	.nowrap {
		white-space: nowrap;
	}
	select,
	input {
		border: 1px solid var(--rule-strong);
		background: var(--sheet);
		padding: 0.15rem 0.3rem;
		font-size: 0.86rem;
		max-width: 9rem;
		color: var(--ink);
	}
</style>
