<!-- What a test in the crop says, large, and the button that takes it into the season. -->
<script lang="ts">
	import Mark from '../figure/Mark.svelte';
	import { Button } from 'carbon-components-svelte';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import type { WalkPage } from '$lib/server/pages/walk-page';
	import type { UnitSystem } from '$core/units/rate-units';
	import { longDate } from '$core/units/day-text';
	import Quantity from '../figure/Quantity.svelte';
	import { foundText } from './found-text';

	type Kind = NonNullable<WalkPage['walk']>['kinds'][number];
	interface Props {
		test: Kind['tests'][number];
		result: NonNullable<Kind['result']>;
		/** Older ones of the kind, no longer in use. */
		others: Kind['tests'];
		units: UnitSystem;
		use: () => void;
		remove: (id: string) => void;
	}
	const { test, result, others, units, use, remove }: Props = $props();
	const { answer } = $derived(result);
</script>

<p class="found">
	{longDate(test.found.date ?? '')}: {foundText(test, units)}
	<button type="button" class="plain small" onclick={() => remove(test.id)}>Delete</button>
</p>
{#if answer.applies}
	<p class="rate" role="status">
		{#if result.lead}<Quantity answer={result.lead} />:{/if}
		{#if answer.value === 0}no nitrogen now <span class="steps"><Quantity {answer} /></span>{:else}<Quantity {answer} />
			of N{/if}
		<span class="stands">{result.stands}</span>
	</p>
	{#if result.total?.applies && result.total.value !== answer.value}
		<p><Quantity answer={result.total} /> with what was applied.</p>
	{/if}
	{#if result.zones.length > 0}
		<div class="zones">
			<ListTable
				label="By zone"
				rows={result.zones}
				key={({ name }) => name}
				columns={[
					{ name: 'Zone', of: ({ name }) => name },
					{ name: 'N from now on', answer: ({ rate }) => rate },
					{ name: 'Residual N', answer: ({ balance }) => balance }
				]}
			/>
		</div>
	{/if}
	{#each result.cautions as caution, at (at)}<p class="caution small"><Mark /> {caution}</p>{/each}
	<Button size="small" onclick={use}>Change the season to this</Button>
{:else}
	<p class="none" role="status"><strong>No rate by this test:</strong> {answer.reason}. {answer.remedy}</p>
{/if}
{#if others.length > 0}
	<p class="soft small">
		Before it:
		{#each others as other (other.id)}
			<span class="other">
				{longDate(other.found.date ?? '')}, {foundText(other, units)}
				<button type="button" class="plain" onclick={() => remove(other.id)}>Delete</button>
			</span>
		{/each}
	</p>
{/if}

<style>
	.found {
		margin: 0.3rem 0 0;
	}
	.rate {
		font-size: 1.7rem;
		font-weight: 650;
		line-height: 1.3;
		margin: 0.2rem 0;
	}
	.steps {
		font-size: 1rem;
		font-weight: 400;
	}
	.stands {
		font-size: 1rem;
		font-weight: 400;
		color: var(--ink-soft);
	}
	.caution,
	.none {
		color: var(--accent-ink);
		margin: 0.3rem 0;
	}
	.other {
		margin-right: 1rem;
	}
	.zones {
		max-width: 30rem;
		margin: 0.4rem 0 0.8rem;
	}
</style>
