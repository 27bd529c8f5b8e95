<!-- Crop and goal of the year: a sentence that opens into a form. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CropId, PreviousCropId } from '$core/schema-types';
	import { quantityIn } from '$core/units/amount-text';
	import { unitInSystem } from '$core/units/rate-units';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import { isOneOf } from '$core/check/typed-object';
	import { PREVIOUS_CROPS } from '../forms/choices';
	import { longDate } from '$core/units/day-text';
	import { numberOrUndefined } from '../forms/numbers';
	import { save } from '../forms/call';
	import { keptAmount, typedAmount } from '../forms/typed-amount';
	import DayField from '../forms/days/DayField.svelte';

	const { page }: { page: RatesPage['goalPage'] } = $props();

	let open = $state(untrack(() => page.goal === undefined));
	let problem = $state('');
	let form = $state(untrack(start));
	/** What the form started from. */
	let seen = $state.raw(untrack(() => page.seen));
	/** The crop whose yield stands in the form. */
	let goalIsOf = untrack(() => form.crop);

	const crop = $derived(page.crops.find(({ id }) => id === form.crop));
	const present = $derived(page.crops.find(({ id }) => id === page.goal?.crop));

	function isPreviousCrop(id: string | null | undefined): id is PreviousCropId {
		return isOneOf(PREVIOUS_CROPS, id ?? '');
	}

	function start() {
		const { goal, lastCrop, crops } = page;
		const first: string = goal?.crop ?? 'corn-grain';
		const previous: string | null | undefined = goal ? goal.previousCrop : lastCrop;
		return {
			crop: first,
			yieldGoal: typed(first, goal?.yieldGoal ?? crops.find(({ id }) => id === first)?.usualGoal),
			previousCrop: isPreviousCrop(previous) ? previous : '',
			plantingDate: goal?.plantingDate ?? '',
			rowSpacingIn: goal?.rowSpacingIn ? String(goal.rowSpacingIn) : '',
			targetPh: goal?.targetPh ? String(goal.targetPh) : '',
			targetPhScale: goal?.targetPhScale ?? 'water',
			residue: goal?.residueRemovedPercent ? String(goal.residueRemovedPercent) : '',
			starter: goal?.starterP2O5 ? String(goal.starterP2O5) : ''
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

	/** What only a crop that is sown each year has. */
	function annual(rowSpacingIn?: number, residueRemovedPercent?: number, starterP2O5?: number) {
		return {
			...(form.previousCrop ? { previousCrop: form.previousCrop as PreviousCropId } : {}),
			...(form.plantingDate ? { plantingDate: form.plantingDate } : {}),
			...(rowSpacingIn === undefined ? {} : { rowSpacingIn }),
			...(residueRemovedPercent ? { residueRemovedPercent } : {}),
			...(starterP2O5 ? { starterP2O5 } : {})
		};
	}

	async function submit(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const before = page.goal?.crop === form.crop ? page.goal.yieldGoal : undefined;
		const yieldGoal = keptAmount(form.yieldGoal, before, crop?.yieldUnit ?? '', page.units);
		const rowSpacingIn = numberOrUndefined(form.rowSpacingIn);
		const targetPh = numberOrUndefined(form.targetPh);
		if (yieldGoal === undefined || yieldGoal <= 0)
			return void (problem = `The yield goal “${form.yieldGoal}” must be a number above 0.`);
		if (form.rowSpacingIn !== '' && (rowSpacingIn ?? 0) <= 0)
			return void (problem = `The row spacing “${form.rowSpacingIn}” must be a number of inches.`);
		if (form.targetPh !== '' && (targetPh === undefined || targetPh < 4 || targetPh > 8))
			return void (problem = `The target pH “${form.targetPh}” must lie between 4 and 8.`);
		const residueRemovedPercent = numberOrUndefined(form.residue);
		if (
			form.residue !== '' &&
			!(residueRemovedPercent !== undefined && residueRemovedPercent >= 0 && residueRemovedPercent <= 100)
		)
			return void (problem = `The straw taken off “${form.residue}” must lie between 0 and 100 %.`);
		const starterP2O5 = numberOrUndefined(form.starter);
		if (form.starter !== '' && !(starterP2O5 && starterP2O5 > 0 && starterP2O5 <= 200))
			return void (problem = `The starter “${form.starter}” must be a number of lb P2O5/ac, up to 200.`);
		if (form.plantingDate !== '' && !/^\d{4}-\d\d-\d\d$/.test(form.plantingDate))
			return void (problem = `The planting date “${form.plantingDate}” must be written as 2027-05-01.`);
		problem = await save(
			'PUT /api/fields/{field}/{year}/goal',
			{ field: page.fieldId, year: page.year },
			{
				crop: form.crop as CropId,
				yieldGoal,
				...(crop?.perennial ? {} : annual(rowSpacingIn, residueRemovedPercent, starterP2O5)),
				...(targetPh === undefined ? {} : { targetPh, targetPhScale: form.targetPhScale }),
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
				)}{/if}{#if page.goal.rowSpacingIn}, {page.goal.rowSpacingIn} in rows{/if}{#if page.goal.targetPh}, target pH {page
					.goal.targetPh}{page.goal.targetPhScale === 'cacl2'
					? ' in CaCl2'
					: ''}{/if}{#if page.goal.residueRemovedPercent}, {page.goal.residueRemovedPercent} % of the straw taken off{/if}{#if page.goal.starterP2O5},
				starter with {page.goal.starterP2O5} lb P2O5{/if}{/if}
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
			<TextInput
				size="sm"
				labelText={`${crop?.perennial ? 'Expected crop' : 'Yield goal'}, ${unitInSystem(crop?.yieldUnit ?? '', page.units)}`}
				inputmode="decimal"
				bind:value={form.yieldGoal}
			/>
			{#if !crop?.perennial}
				<Select size="sm" labelText="Previous crop" bind:selected={form.previousCrop}>
					<SelectItem value="" text="Not named" />
					{#each PREVIOUS_CROPS as id (id)}<SelectItem value={id} text={nameOf(id)} />{/each}
				</Select>
				<DayField label="Planting date" placeholder="usual" bind:date={form.plantingDate} />
				<TextInput size="sm" labelText="Row spacing, in" inputmode="decimal" bind:value={form.rowSpacingIn} />
			{/if}
			<TextInput
				size="sm"
				labelText={`Target pH${crop?.targetPh ? ` (usual ${crop.targetPh})` : ''}`}
				inputmode="decimal"
				bind:value={form.targetPh}
			/>
			<Select size="sm" labelText="Target is in" bind:selected={form.targetPhScale}>
				<SelectItem value="water" text="water" />
				<SelectItem value="cacl2" text="CaCl2" />
			</Select>
			{#if !crop?.perennial}
				<TextInput size="sm" labelText="Straw or stover taken off, %" inputmode="decimal" bind:value={form.residue} />
				<TextInput size="sm" labelText="In the starter, lb P2O5/ac" inputmode="decimal" bind:value={form.starter} />
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
