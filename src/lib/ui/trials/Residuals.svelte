<!-- What the plots leave over beside blocks and treatments, and whether that looks like chance. -->
<script lang="ts">
	import type { TrialAnswer } from '$core/schema-types';
	import { chanceText } from '$core/trials/analysis/verdict';
	import { normalityFigure } from '$core/trials/reading/normality-figure';
	import Quantity from '../figure/Quantity.svelte';
	import Chart from '../charts/Chart.svelte';
	import { residualChart } from './residual-chart';

	interface Props {
		answer: Pick<TrialAnswer, 'residuals' | 'normality'>;
		unit: string;
	}
	const { answer, unit }: Props = $props();
	const { residuals, normality } = $derived(answer);
</script>

<figure>
	<figcaption>
		<h3>Residuals</h3>
		<p class="small soft">
			Each plot less what its block and treatment let expect. Points should lie without order about the line: a fan or a
			bow says that the reading is rough.
			{#if normality}Shapiro-Wilk W {normality.w.toFixed(3)}, p
				<Quantity
					answer={normalityFigure(normality, residuals.length)}
					text={chanceText(normality.p).replace(/^p /, '')}
				/>.{:else}Whether they scatter like chance cannot be tested here.{/if}
		</p>
	</figcaption>
	<Chart
		option={residualChart(residuals, unit)}
		label={`Residuals of ${residuals.length} plots against what was expected of each`}
		height="260px"
	/>
</figure>

<style>
	figure {
		margin: 0.8rem 0;
		max-width: 44rem;
	}
</style>
