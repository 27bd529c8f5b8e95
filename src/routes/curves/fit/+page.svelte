<script lang="ts">
	import {
		Button,
		Disclosure,
		InlineNotification,
		ProgressBar,
		Select,
		SelectItem,
		TextArea,
		TextInput
	} from 'carbon-components-svelte';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { textOfFile } from '$lib/ui/forms/files/text-of-file';
	import { onDestroy, onMount, untrack } from 'svelte';
	import { readObservations } from '$core/rates/nitrogen/response/read-observations';
	import CurveForm from '$lib/ui/rates/curves/CurveForm.svelte';
	import FitTable from '$lib/ui/rates/curves/FitTable.svelte';
	import TypedCurve from '$lib/ui/rates/curves/TypedCurve.svelte';
	import { TrialFit } from '$lib/ui/rates/curves/trial-fit.svelte';
	import { unitInSystem } from '$core/units/rate-units';
	import { scaleIn } from '$lib/ui/charts/trial';
	import { keptAmount, typedAmount } from '$lib/ui/forms/typed-amount';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();

	const EXAMPLE = {
		us: 'rate, yield, block\n0, 112, 1\n60, 161, 1\n120, 190, 1\n…',
		metric: 'rate, yield, block\n0, 7.1, 1\n70, 10.1, 1\n140, 11.9, 1\n…'
	};

	let trial = $state<TrialFit>();
	onMount(() => (trial = new TrialFit()));
	onDestroy(() => trial?.stop());

	let text = $state(untrack(startText));
	let cropId = $state<string>(untrack(() => data.from?.crop ?? 'corn-grain'));
	const crop = $derived(data.crops.find(({ id }) => id === cropId) ?? data.crops[0]!);
	let grain = $state(untrack(grainText));
	let nitrogen = $state(untrack(() => typedAmount(data.nitrogenPrice, '$ per lb', data.units)));
	let problem = $state('');
	/** What the shown fits were made of. */
	let fitted = $state.raw<{ observations: ReturnType<typeof readObservations>['observations']; ratio: number }>();

	const scale = $derived(scaleIn(data.units, crop.yieldUnit));
	const grainUnit = $derived(`$ per ${crop.yieldUnit.replace('/ac', '')}`);
	const read = $derived(readObservations(text));
	/** In the units in which curves are kept. */
	const observations = $derived(
		read.observations.map((one) => ({
			...one,
			rate: one.rate / scale.perRate,
			yield: one.yield / scale.perYield
		}))
	);

	function startText(): string {
		const from = data.crops.find(({ id }) => id === data.from?.crop);
		const shown = (value: number, unit: string) => typedAmount(value, unit, data.units);
		const rows = (data.from?.observations ?? []).map(({ rate, yield: grainYield, block }) =>
			[shown(rate, 'lb/ac'), shown(grainYield, from?.yieldUnit ?? ''), block]
				.filter((cell) => cell !== undefined)
				.join(', ')
		);
		return rows.length > 0 ? ['rate, yield, block', ...rows].join('\n') : '';
	}

	function grainText(): string {
		return typedAmount(crop.price, `$ per ${crop.yieldUnit.replace('/ac', '')}`, data.units);
	}

	async function take(files: readonly File[]): Promise<void> {
		const [file] = files;
		if (!file) return;
		const found = await textOfFile(file);
		problem = typeof found === 'string' ? found : '';
		if (typeof found !== 'string') text = found.text;
	}

	function fit(event: SubmitEvent): void {
		event.preventDefault();
		const prices = {
			grain: keptAmount(grain, crop.price, grainUnit, data.units),
			nitrogen: keptAmount(nitrogen, data.nitrogenPrice, '$ per lb', data.units)
		};
		if (!(prices.grain && prices.grain > 0))
			return void (problem = `The price of ${crop.name.toLowerCase()} “${grain}” must be a number above 0.`);
		if (prices.nitrogen === undefined || prices.nitrogen < 0)
			return void (problem = `The price of nitrogen “${nitrogen}” must be a number, 0 or more.`);
		if (observations.length === 0) return void (problem = 'Paste the plots of a trial first.');
		problem = '';
		fitted = { observations, ratio: prices.nitrogen / prices.grain };
		trial?.fit({ observations, prices: { grain: prices.grain, nitrogen: prices.nitrogen } });
	}
</script>

<div class="page">
	<p class="small"><a href="/curves">Response curves</a></p>
	<h1>Fit a trial</h1>
	<p class="soft">
		One line for each plot or strip: nitrogen in {unitInSystem('lb/ac', data.units)}, yield in {unitInSystem(
			crop.yieldUnit,
			data.units
		)}, and the block if there is one. Headings are read; lines that begin with # are notes.
	</p>
	<form class="paste" onsubmit={fit}>
		<div>
			<TextArea labelText="Plots" rows={12} placeholder={EXAMPLE[data.units]} bind:value={text} />
			<div class="row file">
				<FileButton
					label="Take them from a CSV file"
					accept={['.csv', '.txt', '.tsv']}
					take={(picked) => take(picked ? [picked] : [])}
				/>
				<span class="soft small" role="status">
					{read.observations.length}
					{read.observations.length === 1 ? 'plot' : 'plots'} read
				</span>
			</div>
			{#if read.faults.length > 0}
				<div class="faults" role="alert">
					<p><strong>Not fitted yet.</strong> Correct these lines:</p>
					<ul>
						{#each read.faults.slice(0, 12) as { line, message } (line)}<li>Line {line}: {message}.</li>{/each}
					</ul>
					{#if read.faults.length > 12}<p>and {read.faults.length - 12} more.</p>{/if}
				</div>
			{/if}
		</div>
		<div class="side">
			<Select
				size="sm"
				labelText="Crop"
				bind:selected={cropId}
				on:update={({ detail }) => {
					cropId = String(detail);
					grain = grainText();
				}}
			>
				{#each data.crops as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			<TextInput
				size="sm"
				labelText={`Price of the crop, ${unitInSystem(grainUnit, data.units)}`}
				inputmode="decimal"
				bind:value={grain}
			/>
			<TextInput
				size="sm"
				labelText={`Price of nitrogen, ${unitInSystem('$ per lb', data.units)}`}
				inputmode="decimal"
				bind:value={nitrogen}
			/>
			{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
			<Button size="small" type="submit" disabled={read.faults.length > 0}>Fit four shapes</Button>
			{#if trial?.progress}
				{@const { done, total } = trial.progress}
				<ProgressBar
					size="sm"
					labelText="Drawing samples for the interval"
					value={done}
					max={Math.max(total, 1)}
					helperText={`${done} of ${total}`}
				/>
				<Button size="small" kind="ghost" onclick={() => trial?.cancel()}>Cancel</Button>
			{/if}
		</div>
	</form>

	{#if trial?.answer && fitted}
		{@const { answer } = trial}
		<FitTable {answer} observations={fitted.observations} {crop} units={data.units} />
		{#if answer.best}
			<CurveForm
				{answer}
				observations={fitted.observations}
				ratio={fitted.ratio}
				{crop}
				source={data.from?.source ?? ''}
			/>
		{/if}
	{/if}

	<Disclosure align="start" class="section" summary="Type a curve in instead">
		<TypedCurve crops={data.crops} units={data.units} />
	</Disclosure>
</div>

<style>
	.paste {
		display: grid;
		grid-template-columns: minmax(0, 34rem) 18rem;
		gap: 1rem 2rem;
	}
	.paste :global(textarea) {
		font-variant-numeric: tabular-nums;
		background: var(--sheet);
	}
	.side {
		display: grid;
		gap: 0.8rem;
		align-content: start;
	}
	.file {
		align-items: center;
		gap: 1rem;
		margin-top: 0.5rem;
	}
	.faults {
		color: var(--stop);
	}
	@media (max-width: 800px) {
		.paste {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
