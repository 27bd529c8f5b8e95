<!-- Two treatments that several trials share, read together: a forest plot, and what holds on one more site. -->
<script lang="ts">
	import { Disclosure, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { PoolAnswer, PoolRequest } from '$core/schema-types';
	import { poolSites } from '$core/trials/sites/pool-sites';
	import { pooledFigures } from '$core/trials/sites/pooled-figures';
	import type { SeasonRain } from '$core/trials/sites/season-rain';
	import { firstPair, siteEffects } from '$core/trials/sites/site-effects';
	import Chart from '../charts/Chart.svelte';
	import { forestChart } from '../charts/forest';
	import Quantity from '../figure/Quantity.svelte';

	interface Props {
		sites: readonly {
			site: string;
			yieldUnit: string;
			/** Of its season, where its weather is known. */
			rain: SeasonRain | undefined;
			means: readonly { treatment: string; mean: number; se: number }[];
			/** The treatment that is usual practice there. */
			usual: string | undefined;
		}[];
		/** Treatments that two sites or more have tried. */
		common: readonly string[];
	}
	const { sites, common }: Props = $props();

	const [first, second] = untrack(() => firstPair(sites, common));
	let tried = $state(first);
	let against = $state(second);
	const effects = $derived(siteEffects(sites, tried, against));
	const pooled = $derived(effects.length > 1 ? poolSites({ effects }) : undefined);
	/** Two sites or more of wet seasons, and of dry ones. */
	const seasons = $derived(
		[true, false].flatMap((wet) => {
			const own = effects.filter(({ site }) => sites.find((one) => one.site === site)?.rain?.wet === wet);
			return own.length > 1 ? [{ name: wet ? 'Wetter than usual' : 'Drier than usual', own }] : [];
		})
	);
	const unit = $derived(sites.find(({ site }) => site === effects[0]?.site)?.yieldUnit ?? 'bu/ac');
	const ROW_PX = 34;
	const AXIS_PX = 60;
</script>

{#snippet behind(own: PoolRequest['effects'], together: PoolAnswer)}
	{@const { effect, half } = pooledFigures({ effects: own }, together, unit)}
	<p class="small">Effect <Quantity answer={effect} />, give or take <Quantity answer={half} />.</p>
{/snippet}

<section class="section" aria-label="Several sites together">
	<h2>Several sites together</h2>
	<p class="soft">
		One field in one year is one answer. What two treatments differ by on several, and on one more like them.
	</p>
	<div class="fields">
		<Select size="sm" labelText="Treatment" bind:selected={tried}>
			{#each common as name, at (at)}<SelectItem value={name} text={name} />{/each}
		</Select>
		<Select size="sm" labelText="Against" bind:selected={against}>
			{#each common as name, at (at)}<SelectItem value={name} text={name} />{/each}
		</Select>
	</div>
	{#if pooled}
		<p class="verdict">{pooled.verdict}</p>
		{@render behind(effects, pooled)}
		<Chart
			option={forestChart(effects, pooled, unit)}
			label={`${tried} against ${against} at ${effects.length} sites. ${pooled.verdict}`}
			height={`${AXIS_PX + ROW_PX * (effects.length + 1)}px`}
		/>
		{#each seasons as { name, own }, at (at)}
			{@const together = poolSites({ effects: own })}
			<p><strong>{name}</strong> ({own.map(({ site }) => site).join(', ')}): {together.verdict}</p>
			{@render behind(own, together)}
		{/each}
		<Disclosure align="start" summary="Details">
			<p>
				Random sites: variance between them {pooled.tau2.toPrecision(3)} (REML), {pooled.i2Percent.toFixed(0)} % of the spread;
				Q {pooled.q.toFixed(2)}, p {pooled.qP.toFixed(3)}. Standard error {pooled.se.toPrecision(3)} and interval by Knapp
				and Hartung, t with {effects.length - 1} df, p {pooled.p.toFixed(3)}.
			</p>
		</Disclosure>
	{:else}
		<p class="soft">Take two treatments that at least two trials have both tried.</p>
	{/if}
</section>

<style>
	.verdict {
		max-width: 60rem;
		font-size: 1.05rem;
	}
</style>
