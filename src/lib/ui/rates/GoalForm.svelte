<!-- Crop and goal of the year: a sentence that opens into a form. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CropId, PreviousCropId } from '$core/schema-types';
	import { GoalActionBounds } from '$core/schema-types/bounds';
	import { amountText, quantityIn } from '$core/units/amount-text';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import { isOneOf } from '$core/check/typed-object';
	import { PREVIOUS_CROPS } from '../forms/choices';
	import { isDay, longDate } from '$core/units/day-text';
	import NumberField from '../forms/NumberField.svelte';
	import { factsIn } from '../forms/number-within';
	import { save } from '../forms/call';
	import { keptNumber, keptNumbers, typedAmount } from '../forms/typed-amount';
	import DayField from '../forms/days/DayField.svelte';

	const { page }: { page: RatesPage['goalPage'] } = $props();

	let open = $state(untrack(() => page.goal === undefined));
	let problem = $state('');
	let form = $state(untrack(start));
	/** What the form started from. */
	let seen = $state.raw(untrack(() => page.seen));
	/** The crop whose yield stands in the form. */
	let goalIsOf = untrack(() => form.crop);

	/** What only a crop that is sown each year has. */
	const { targetPh, residueRemovedPercent, rowSpacingIn, starterP2O5 } = GoalActionBounds;
	const NUMBERS = {
		rowSpacingIn,
		targetPh,
		residueRemovedPercent,
		starterP2O5: { ...starterP2O5, label: 'P2O5 in the starter', unit: 'lb/ac' }
	};
	const NOT_SOWN = { rowSpacingIn: '', residueRemovedPercent: '', starterP2O5: '' };

	const crop = $derived(page.crops.find(({ id }) => id === form.crop));
	const goalFacts = $derived({
		...GoalActionBounds.yieldGoal,
		label: crop?.perennial ? 'Expected crop' : GoalActionBounds.yieldGoal.label
	});
	const present = $derived(page.crops.find(({ id }) => id === page.goal?.crop));

	function isPreviousCrop(id: string | null | undefined): id is PreviousCropId {
		return isOneOf(PREVIOUS_CROPS, id ?? '');
	}

	function start() {
		const { goal, lastCrop, crops } = page;
		const standing = crops.find(({ id, perennial }) => perennial && id === lastCrop)?.id;
		const first: string = goal?.crop ?? standing ?? 'corn-grain';
		const previous: string | null | undefined = goal ? goal.previousCrop : lastCrop;
		return {
			crop: first,
			yieldGoal: typed(first, goal?.yieldGoal ?? crops.find(({ id }) => id === first)?.usualGoal),
			previousCrop: isPreviousCrop(previous) ? previous : '',
			plantingDate: goal?.plantingDate ?? '',
			targetPhScale: goal?.targetPhScale ?? 'water',
			numbers: {
				rowSpacingIn: typedAmount(goal?.rowSpacingIn, 'in', page.units),
				targetPh: String(goal?.targetPh ?? ''),
				residueRemovedPercent: String(goal?.residueRemovedPercent ?? ''),
				starterP2O5: typedAmount(goal?.starterP2O5, 'lb/ac', page.units)
			}
		};
	}

	/** A yield as it stands in the form, in the grower's units. */
	function typed(id: string, value: number | undefined): string {
		return typedAmount(value, page.crops.find((one) => one.id === id)?.yieldUnit ?? '', page.units);
	}

	/** Another crop has another yield; the form's first crop keeps the goal it came with. */
	function takeUsualGoal(id: string): void {
		if (id === goalIsOf) return;
		goalIsOf = id;
		form.yieldGoal = typed(id, page.crops.find((one) => one.id === id)?.usualGoal) || form.yieldGoal;
	}

	function nameOf(id: string): string {
		return page.crops.find((candidate) => candidate.id === id)?.name ?? id.charAt(0).toUpperCase() + id.slice(1);
	}

	async function submit(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const before = page.goal?.crop === form.crop ? page.goal.yieldGoal : undefined;
		const yieldGoal = keptNumber(form.yieldGoal, before, goalFacts, crop?.yieldUnit ?? '', page.units);
		if (yieldGoal === undefined) return void (problem = `${goalFacts.label} is not filled in.`);
		if (typeof yieldGoal === 'string') return void (problem = yieldGoal);
		const { perennial = false } = crop ?? {};
		const kept = {
			rowSpacingIn: page.goal?.rowSpacingIn ?? undefined,
			targetPh: page.goal?.targetPh ?? undefined,
			residueRemovedPercent: page.goal?.residueRemovedPercent ?? undefined,
			starterP2O5: page.goal?.starterP2O5 ?? undefined
		};
		const numbers = keptNumbers({ ...form.numbers, ...(perennial ? NOT_SOWN : {}) }, kept, NUMBERS, page.units);
		if (typeof numbers === 'string') return void (problem = numbers);
		if (!perennial && form.plantingDate !== '' && !isDay(form.plantingDate))
			return void (problem = `The planting date “${form.plantingDate}” must be written as 2027-05-01.`);
		problem = await save(
			'PUT /api/fields/{field}/{year}/goal',
			{ field: page.fieldId, year: page.year },
			{
				crop: form.crop as CropId,
				yieldGoal,
				...numbers,
				...(numbers.targetPh === undefined ? {} : { targetPhScale: form.targetPhScale }),
				...(!perennial && form.previousCrop ? { previousCrop: form.previousCrop as PreviousCropId } : {}),
				...(!perennial && form.plantingDate ? { plantingDate: form.plantingDate } : {}),
				seen
			}
		);
		if (problem === '') open = false;
	}
</script>

{#if !open && page.goal && present}
	<p class="goal">
		<strong>{present.name} {quantityIn(page.units, page.goal.yieldGoal, present.yieldUnit)}</strong>
		{#if page.perennial}{#if page.perennial.age !== undefined}in year {page.perennial.age} of its life{:else}<a
					href={`/field/${page.fieldId}/${page.year}/ground`}>block not described</a
				>{/if}{#if page.perennial.days[0]}, {page.perennial.days[0].name}
				{page.perennial.days[0].set ? '' : 'about '}{longDate(
					page.perennial.days[0].date
				)}{/if}{#if page.goal.targetPh}, target pH
				{page.goal.targetPh}{/if}
		{:else}{#if page.goal.previousCrop}after {nameOf(page.goal.previousCrop).toLowerCase()},{/if}
			{#if page.goal.plantingDate}planted {longDate(page.goal.plantingDate)}{:else if page.usualPlanting}planted about {longDate(
					page.usualPlanting
				)}{/if}{#if page.goal.rowSpacingIn}, {quantityIn(page.units, page.goal.rowSpacingIn, 'in')} rows{/if}{#if page.goal.targetPh},
				target pH {page.goal.targetPh}{page.goal.targetPhScale === 'cacl2'
					? ' in CaCl2'
					: ''}{/if}{#if page.goal.residueRemovedPercent}, {page.goal.residueRemovedPercent} % of the straw taken off{/if}{#if page.goal.starterP2O5},
				starter with {amountText(page.units)(page.goal.starterP2O5)} P2O5{/if}{/if}
		<button
			type="button"
			class="plain"
			onclick={() => {
				form = start();
				seen = page.seen;
				goalIsOf = form.crop;
				open = true;
			}}>Change the goal</button
		>
	</p>
{:else}
	<form onsubmit={submit} class="form">
		<h2>Crop and goal for {page.year}</h2>
		<div class="fields">
			<Select
				size="sm"
				labelText="Crop"
				bind:selected={form.crop}
				on:update={({ detail }) => takeUsualGoal(String(detail))}
			>
				{#each page.crops as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			<NumberField facts={factsIn(goalFacts, crop?.yieldUnit ?? '', page.units)} bind:text={form.yieldGoal} />
			{#if !crop?.perennial}
				<Select size="sm" labelText="Previous crop" bind:selected={form.previousCrop}>
					<SelectItem value="" text="Not named" />
					{#each PREVIOUS_CROPS as id (id)}<SelectItem value={id} text={nameOf(id)} />{/each}
				</Select>
				<DayField label="Planting date" placeholder="usual" bind:date={form.plantingDate} />
				<NumberField
					facts={factsIn(GoalActionBounds.rowSpacingIn, 'in', page.units)}
					bind:text={form.numbers.rowSpacingIn}
				/>
			{/if}
			<NumberField
				facts={GoalActionBounds.targetPh}
				placeholder={crop?.targetPh ? `usual ${crop.targetPh}` : ''}
				bind:text={form.numbers.targetPh}
			/>
			<Select size="sm" labelText="Target is in" bind:selected={form.targetPhScale}>
				<SelectItem value="water" text="water" />
				<SelectItem value="cacl2" text="CaCl2" />
			</Select>
			{#if !crop?.perennial}
				<NumberField facts={GoalActionBounds.residueRemovedPercent} bind:text={form.numbers.residueRemovedPercent} />
				<NumberField facts={factsIn(NUMBERS.starterP2O5, 'lb/ac', page.units)} bind:text={form.numbers.starterP2O5} />
			{/if}
		</div>
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		<div class="row">
			<Button size="small" type="submit">Save the goal</Button>
			{#if page.goal}<Button size="small" kind="ghost" onclick={() => (open = false)}>Cancel</Button>{/if}
		</div>
	</form>
{/if}

<style>
	.goal {
		font-size: 1.02rem;
	}
	.form {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 1rem 1.2rem;
		display: grid;
		gap: 0.9rem;
		margin-bottom: 1rem;
	}
</style>
