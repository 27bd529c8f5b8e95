<!-- The sources of irrigation water with their reports; one opens in the form. -->
<script lang="ts">
	import { Disclosure } from 'carbon-components-svelte';
	import type { BookedReport, WaterSource } from '$core/schema-types';
	import { longDate } from '$core/units/day-text';
	import { remove } from '../forms/call';
	import ListTable from '../tables/ListTable.svelte';
	import RowMenu from '../tables/RowMenu.svelte';

	interface Props {
		sources: readonly WaterSource[];
		/** Opens a report in the form. */
		open: (source: WaterSource, report: BookedReport) => void;
	}
	const { sources, open }: Props = $props();
	let problem = $state('');

	interface Row {
		source: WaterSource;
		/** Undefined of a source that has none yet. */
		report: BookedReport | undefined;
		id: string | undefined;
	}
	const rows = $derived(
		sources.flatMap((source): Row[] =>
			source.reports.length === 0
				? [{ source, report: undefined, id: undefined }]
				: source.reports.map(({ id, report }) => ({ source, report, id }))
		)
	);

	async function dropReport({ source, id = '' }: Row): Promise<void> {
		problem = await remove('DELETE /api/water-sources/{source}/reports/{report}', { source: source.id, report: id });
	}

	async function dropSource({ source }: Row): Promise<void> {
		problem = await remove('DELETE /api/water-sources/{source}', { source: source.id });
	}

	const value = (report: BookedReport | undefined, key: 'ec' | 'ph' | 'ca' | 'na' | 'hco3' | 'no3n') =>
		report?.water[key];
</script>

{#snippet nameCell({ source, report }: Row)}
	{#if report}<button type="button" class="plain" onclick={() => open(source, report)}>{source.name}</button>
	{:else}{source.name}{/if}
	<span class="soft small">{source.kind}</span>
{/snippet}
{#snippet menuCell(row: Row)}
	<RowMenu
		label={`What to do with ${row.source.name}${row.report ? ` of ${longDate(row.report.takenOn)}` : ''}`}
		acts={[
			...(row.report ? [{ text: 'Delete this report', act: () => void dropReport(row) }] : []),
			{ text: 'Delete the source', act: () => void dropSource(row) }
		]}
	/>
{/snippet}

{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
{#if sources.length > 0}
	<Disclosure align="start" open summary={`Sources and their reports (${sources.length})`}>
		<ListTable
			label="Sources of water"
			{rows}
			key={({ source, id }) => id ?? source.id}
			columns={[
				{ name: 'Source', of: ({ source }) => source.name, cell: nameCell },
				{
					name: 'Sampled',
					of: ({ report }) => report?.takenOn ?? '',
					cell: dayCell
				},
				{ name: 'Lab', of: ({ report }) => report?.lab ?? '' },
				{ name: 'EC, dS/m', of: ({ report }) => value(report, 'ec'), number: true },
				{ name: 'pH', of: ({ report }) => value(report, 'ph'), number: true },
				{ name: 'HCO3', of: ({ report }) => value(report, 'hco3'), number: true },
				{ name: 'NO3-N', of: ({ report }) => value(report, 'no3n'), number: true },
				{ name: 'In', of: ({ report }) => report?.water.unit ?? '' },
				{ name: '', cell: menuCell }
			]}
		/>
	</Disclosure>
{/if}

{#snippet dayCell({ report }: Row)}{report ? longDate(report.takenOn) : 'no report yet'}{/snippet}
