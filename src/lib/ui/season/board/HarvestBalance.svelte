<!-- Where the nitrogen of the season went by harvest, in the year that is shown. -->
<script lang="ts">
	import type { RunAnswer } from '$core/season/model/run-season';
	import { lengthText } from '$core/units/length-text';

	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { modelled } from './modelled';

	const { run, kind }: { run: RunAnswer; kind: string } = $props();

	const rows = $derived([
		['Soil mineral N at the start', run.balance.atStart],
		['Applied', run.balance.applied],
		['Mineralized from organic matter', run.balance.mineralised],
		['N uptake', run.balance.takenUp],
		['Volatilized as ammonia', run.balance.volatilised],
		['Denitrified', run.balance.denitrified],
		[`Leached below ${lengthText(3, run.unit === 'kg/ha' ? 'metric' : 'us')}`, run.balance.leached],
		...(run.balance.tiedUp > 0 ? [['Tied up by the cover crop', run.balance.tiedUp] as const] : []),
		['Residual N at harvest', run.balance.leftInGround]
	] as const);
</script>

<ListTable
	label="Nitrogen by harvest"
	{rows}
	key={([name]) => name}
	sortable={false}
	columns={[
		{ name: 'By harvest', of: ([name]) => name },
		{ name: `N, ${run.unit}`, answer: ([name, value]) => modelled(name, value, run.unit, kind), bare: true }
	]}
/>
<p class="small" class:short={run.balance.shortDays > 0}>
	{run.balance.shortDays === 0
		? 'The crop is never short.'
		: `${run.balance.shortDays} days short of what the crop wants.`}
</p>

<style>
	.short {
		color: var(--accent-ink);
	}
</style>
