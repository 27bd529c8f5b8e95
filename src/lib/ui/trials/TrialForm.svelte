<!-- The plan of a trial: what is tried, how it is repeated, and with what machines. -->
<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { TrialPlanBounds } from '$core/schema-types/bounds';
	import NumberField from '$lib/ui/forms/NumberField.svelte';
	import FormEnd from '$lib/ui/forms/FormEnd.svelte';
	import type { Snippet } from 'svelte';
	import type { TrialDesign } from '$core/schema-types';
	import { DESIGN_NAMES } from '$lib/design-names';
	import type { UnitSystem } from '$core/units/rate-units';
	import { lengthUnit, perFoot, unitChoices, type TypedTrial } from './typed-trial';

	interface Props {
		typed: TypedTrial;
		units: UnitSystem;
		problem: string;
		/** Of the button that saves. */
		action: string;
		save: () => void;
		cancel: () => void;
		/** Fields that stand before the others. */
		before?: Snippet;
	}
	let { typed = $bindable(), units, problem, action, save, cancel, before }: Props = $props();

	const MOST_FACTORS = 3;
	const designs = Object.entries(DESIGN_NAMES) as [TrialDesign, string][];
	const unit = $derived(lengthUnit(units));

	const LENGTHS = [
		{ key: 'pass', of: 'passFt', placeholder: '' },
		{ key: 'header', of: 'headerFt', placeholder: '' },
		{ key: 'width', of: 'widthFt', placeholder: '' },
		{ key: 'length', of: 'lengthFt', placeholder: 'as long as the field' },
		{ key: 'headland', of: 'headlandFt', placeholder: '' }
	] as const;

	function submit(event: SubmitEvent): void {
		event.preventDefault();
		save();
	}

	function draw(): void {
		typed.seed = String(1 + Math.floor(Math.random() * 99_999));
	}
</script>

<form onsubmit={submit} aria-label="Plan of the trial">
	<div class="fields wide">
		{@render before?.()}
		<TextInput size="sm" labelText="Name" maxlength={80} bind:value={typed.name} />
	</div>
	<TextInput size="sm" labelText="Question" maxlength={300} bind:value={typed.question} />
	<section aria-label="What is tried">
		<h2>What is tried</h2>
		{#each typed.factors as factor, at (at)}
			<div class="fields factor">
				<TextInput size="sm" labelText={`Factor ${at + 1}`} bind:value={factor.name} />
				<Select size="sm" labelText="Unit of its levels" bind:selected={factor.unit}>
					{#each unitChoices(factor.unit, units) as one (one)}<SelectItem
							value={one}
							text={one || 'none: kinds, not rates'}
						/>{/each}
				</Select>
				<TextInput size="sm" labelText="Levels, parted by commas" bind:value={factor.levels} />
				{#if typed.factors.length > 1}
					<Button
						size="small"
						kind="ghost"
						onclick={() => (typed.factors = typed.factors.filter((_, other) => other !== at))}>Remove</Button
					>
				{/if}
			</div>
		{/each}
		{#if typed.factors.length < MOST_FACTORS}
			<Button
				size="small"
				kind="ghost"
				onclick={() => (typed.factors = [...typed.factors, { name: '', unit: '', levels: '' }])}>Add a factor</Button
			>
		{/if}
	</section>
	<section aria-label="How it is repeated">
		<h2>How it is repeated</h2>
		<div class="fields top">
			<Select size="sm" labelText="Design" bind:selected={typed.design}>
				{#each designs as [id, name] (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			<NumberField
				facts={typed.design === 'latin-square'
					? { ...TrialPlanBounds.blocks, label: 'Rows', help: 'As many as treatments; the columns are as many.' }
					: TrialPlanBounds.blocks}
				bind:text={typed.blocks}
			/>
			{#if typed.design === 'split-plot'}
				<Select size="sm" labelText="Factor on the whole plots" bind:selected={typed.wholePlot}>
					<SelectItem value="" text="say which" />
					{#each typed.factors as { name }, at (at)}<SelectItem value={name} text={name} />{/each}
				</Select>
			{/if}
			<TextInput
				size="sm"
				labelText="Usual practice"
				helperText="A treatment, its levels parted by commas; the others are held against it."
				bind:value={typed.usual}
			/>
			{#if typed.design !== 'latin-square'}
				<TextInput
					size="sm"
					labelText="Ground of each block"
					placeholder="wet half, wet half, dry half, dry half"
					bind:value={typed.grounds}
				/>
			{/if}
			<NumberField facts={TrialPlanBounds.cvPercent} bind:text={typed.cv} />
			<NumberField facts={TrialPlanBounds.worthKnowing} bind:text={typed.worthKnowing} />
			<div class="seed">
				<NumberField facts={TrialPlanBounds.seed} bind:text={typed.seed} />
				<Button size="small" kind="ghost" onclick={draw}>Draw anew</Button>
			</div>
		</div>
	</section>
	<section aria-label="Machines and plots">
		<h2>Machines and plots</h2>
		<div class="fields narrow">
			{#each LENGTHS as { key, of, placeholder } (key)}
				<NumberField facts={TrialPlanBounds[of]} {unit} per={perFoot(units)} {placeholder} bind:text={typed[key]} />
			{/each}
			<NumberField facts={TrialPlanBounds.headingDegrees} bind:text={typed.heading} />
		</div>
	</section>
	<FormEnd {problem} {action} {cancel} />
</form>

<style>
	form {
		display: grid;
		gap: 1.2rem;
		max-width: 76rem;
	}
	.wide {
		grid-template-columns: repeat(auto-fit, minmax(15rem, 1fr));
	}
	.factor {
		grid-template-columns: minmax(10rem, 1fr) 12rem minmax(16rem, 2fr) auto;
		align-items: end;
		margin-bottom: 0.6rem;
	}
	.top {
		grid-template-columns: repeat(auto-fill, minmax(12.5rem, 1fr));
		align-items: start;
	}
	.seed {
		display: flex;
		align-items: end;
		gap: 0.3rem;
	}
	@media (max-width: 700px) {
		.factor {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
