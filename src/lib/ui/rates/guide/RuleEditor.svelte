<!-- One rule of a guide: its coefficients, for all crops and by crop, and its worked examples. -->
<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import type { CropId, Rule } from '$core/schema-types';
	import { schoolName } from '$lib/school-names';
	import type { ExampleOutcome } from '../../../../workers/guide-messages';
	import { leavesOf, withLeaf, type Leaf } from './leaves';

	interface Props {
		rule: Rule;
		crops: { id: CropId; name: string }[];
		outcomes: ExampleOutcome[];
		change: (rule: Rule) => void;
	}
	const { rule, crops, outcomes, change }: Props = $props();

	const shared = $derived(leavesOf(rule.parameters));
	const byCrop = $derived(Object.entries(rule.crops ?? {}));
	const missing = $derived(rule.crops ? crops.filter(({ id }) => !(id in rule.crops!)) : []);
	const cropName = (id: string) => crops.find((crop) => crop.id === id)?.name ?? id;
	let added = $state('');

	function typed(leaf: Leaf, text: string): Leaf['value'] {
		if (typeof leaf.value !== 'number') return text;
		const number = Number(text.replace(',', '.'));
		return text.trim() === '' || Number.isNaN(number) ? text : number;
	}

	function setShared(leaf: Leaf, text: string): void {
		change({ ...rule, parameters: withLeaf(rule.parameters, leaf.path, typed(leaf, text)) });
	}

	function setCrop(crop: string, leaf: Leaf, text: string): void {
		change({ ...rule, crops: withLeaf(rule.crops!, [crop, ...leaf.path], typed(leaf, text)) });
	}

	function addCrop(): void {
		const [, first] = byCrop[0] ?? [];
		if (!added || !first) return;
		change({ ...rule, crops: { ...rule.crops, [added]: structuredClone(first) } });
		added = '';
	}

	function dropCrop(crop: string): void {
		const kept = Object.entries(rule.crops ?? {}).filter(([id]) => id !== crop);
		change({ ...rule, crops: Object.fromEntries(kept) });
	}

	function setExample(index: number, key: 'gives' | 'tolerance' | 'source', text: string): void {
		const value = key === 'source' ? text : typed({ path: [], label: '', value: 0 }, text);
		change({ ...rule, examples: withLeaf(rule.examples, [index, key], value) });
	}

	function setInput(index: number, name: string, text: string): void {
		const value = typed({ path: [], label: '', value: 0 }, text);
		change({ ...rule, examples: withLeaf(rule.examples, [index, 'inputs', name], value) });
	}

	/** A new example starts as the last one, with what it comes out as left to be written. */
	function addExample(): void {
		const last = rule.examples.at(-1);
		const fresh = last
			? { ...structuredClone(last), source: 'where this example stands' }
			: { inputs: {}, gives: 0, tolerance: 0.05, source: 'where this example stands' };
		change({ ...rule, examples: [...rule.examples, fresh] });
	}

	function dropExample(index: number): void {
		change({ ...rule, examples: rule.examples.filter((_, at) => at !== index) });
	}

	const outcome = (index: number) => outcomes.find((one) => one.rule === rule.id && one.index === index);
	const text = (event: Event) => (event.target as HTMLInputElement).value;
	/** A number counts as it is typed, once it reads the same as it is written; "1." waits for what follows. */
	function whenTyped(take: (typedText: string) => void) {
		return {
			oninput: (event: Event) => String(Number(text(event))) === text(event) && take(text(event)),
			onchange: (event: Event) => take(text(event))
		};
	}

	const spaced = (name: string) => name.replace(/([A-Z])/g, ' $1').toLowerCase();
</script>

<section class="section" aria-label={rule.title}>
	<h2>{rule.title}</h2>
	<p class="soft small">
		{rule.gives}, {rule.unit}{#if rule.school}; approach: {schoolName(rule.school).toLowerCase()}{/if}; kind:
		{rule.kind.replaceAll('-', ' ')}{#if rule.soilTest}; soil test: {rule.soilTest.analyte} by {rule.soilTest.methods.join(
				' or '
			)}{/if}
	</p>
	<div class="head">
		<TextInput
			size="sm"
			labelText="Title"
			value={rule.title}
			on:input={({ detail }) => change({ ...rule, title: String(detail ?? '') })}
		/>
		<Select
			size="sm"
			labelText="Where the numbers come from"
			selected={rule.basis}
			on:change={(event) => change({ ...rule, basis: (event.target as HTMLSelectElement).value as Rule['basis'] })}
		>
			<SelectItem value="published" text="published" />
			<SelectItem value="memory" text="published, written from memory" />
			<SelectItem value="practice" text="common practice" />
			<SelectItem value="adviser" text="my own" />
			<SelectItem value="measured" text="measured" />
		</Select>
		<TextInput
			size="sm"
			labelText="Source"
			value={rule.citation ?? ''}
			on:input={({ detail }) => change({ ...rule, citation: detail ? String(detail) : undefined })}
		/>
	</div>
	{#if shared.length > 0}
		<h3>For all crops</h3>
		<div class="leaves">
			{#each shared as leaf (leaf.path.join('.'))}
				<label
					><span class="small">{leaf.label}</span><input
						value={leaf.value}
						{...whenTyped((typedText) => setShared(leaf, typedText))}
					/></label
				>
			{/each}
		</div>
	{/if}
	{#if rule.crops}
		<h3>By crop</h3>
		{#each byCrop as [crop, own] (crop)}
			<div class="crop">
				<strong>{cropName(crop)}</strong>
				<div class="leaves">
					{#each leavesOf(own) as leaf (leaf.path.join('.'))}
						<label
							><span class="small">{leaf.label}</span><input
								aria-label={`${rule.title}, ${cropName(crop)}, ${leaf.label}`}
								value={leaf.value}
								{...whenTyped((typedText) => setCrop(crop, leaf, typedText))}
							/></label
						>
					{/each}
				</div>
				<button type="button" class="plain small" aria-label={`Drop ${cropName(crop)}`} onclick={() => dropCrop(crop)}
					>Drop</button
				>
			</div>
		{/each}
		{#if missing.length > 0 && byCrop.length > 0}
			<div class="row add">
				<Select size="sm" labelText="Add a crop, with the first one’s numbers to begin with" bind:selected={added}>
					<SelectItem value="" text="Choose a crop" />
					{#each missing as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
				<Button size="small" kind="tertiary" disabled={!added} onclick={addCrop}>Add the crop</Button>
			</div>
		{/if}
	{/if}
	<h3>Worked examples</h3>
	<div class="scroll">
		<table class="ledger">
			<thead>
				<tr
					><th>Crop</th><th>With</th><th class="num">should give</th><th class="num">comes out</th><th>Source</th><th
					></th></tr
				>
			</thead>
			<tbody>
				{#each rule.examples as example, index (index)}
					{@const out = outcome(index)}
					<tr class:wrong={out && !out.right}>
						<td>{example.crop ? cropName(example.crop) : 'any'}</td>
						<td>
							<div class="leaves">
								{#each Object.entries(example.inputs) as [name, value] (name)}
									<label
										><span class="small">{spaced(name)}</span><input
											{value}
											{...whenTyped((typedText) => setInput(index, name, typedText))}
										/></label
									>
								{/each}
							</div>
						</td>
						<td class="num">
							<input
								aria-label={`Example ${index + 1} should give`}
								value={example.gives}
								{...whenTyped((typedText) => setExample(index, 'gives', typedText))}
							/>
						</td>
						<td class="num nowrap">
							{#if out}{out.comesOut === null ? 'nothing' : +out.comesOut.toPrecision(7)} {out.right ? '✓' : '✗'}{/if}
						</td>
						<td
							><input
								class="wide"
								aria-label={`Example ${index + 1} source`}
								value={example.source}
								onchange={(event) => setExample(index, 'source', text(event))}
							/></td
						>
						<td
							><button
								type="button"
								class="plain small"
								aria-label={`Drop example ${index + 1}`}
								onclick={() => dropExample(index)}>Drop</button
							></td
						>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	<button type="button" class="plain" onclick={addExample}>Add a worked example</button>
</section>

<style>
	h3 {
		margin-top: 0.9rem;
	}
	.head {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
		gap: 0.8rem;
	}
	.leaves {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem 0.9rem;
	}
	label {
		display: grid;
		color: var(--ink-soft);
	}
	input {
		font: inherit;
		font-variant-numeric: tabular-nums;
		width: 5.6rem;
		border: 1px solid var(--rule-strong);
		background: var(--paper);
		color: var(--ink);
		padding: 0.15rem 0.35rem;
	}
	input.wide {
		width: 100%;
		min-width: 11rem;
	}
	.crop {
		display: grid;
		grid-template-columns: 7rem 1fr auto;
		gap: 0.8rem;
		align-items: end;
		padding: 0.4rem 0;
		border-top: 1px solid var(--rule);
	}
	.scroll {
		overflow-x: auto;
	}
	@media (max-width: 640px) {
		.crop {
			grid-template-columns: 1fr;
			gap: 0.3rem;
			justify-items: start;
		}
	}
	.add {
		align-items: end;
		gap: 0.8rem;
		margin-top: 0.5rem;
		max-width: 34rem;
	}
	.wrong td {
		color: var(--stop);
	}
</style>
