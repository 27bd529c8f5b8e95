<!-- What is known of one zone: it stands in place of the field's own. -->
<script lang="ts">
	import { messageOf } from '$core/check/message-of';
	import { InlineNotification, Modal, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { RateNutrient, ZoneFacts } from '$core/schema-types';
	import { ZONE_ANALYTES, type ZoneMeans } from '$core/zones/zone-means';
	import { formatNumber } from '$core/units/display';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { numberOrUndefined } from '../../forms/numbers';
	import { keptAmount, typedAmount } from '../../forms/typed-amount';

	interface Props {
		name: string;
		facts: ZoneFacts;
		means: ZoneMeans;
		yieldGoal: number | undefined;
		/** Of the crop, with the weight of its bushel. */
		yieldUnit: string;
		/** Nutrients with a rate for the field. */
		nutrients: readonly RateNutrient[];
		/** That rates are typed in. */
		units: UnitSystem;
		/** @param seen what the form started from */
		keep: (facts: ZoneFacts, seen: ZoneFacts) => Promise<string>;
		close: () => void;
	}
	const { name, facts, means, yieldGoal, yieldUnit, nutrients, units, keep, close }: Props = $props();

	const GROUND = [
		{ key: 'yieldGoal', label: 'Yield goal', most: 100_000, yielded: true },
		{ key: 'yieldWithout', label: 'Yield without nitrogen (strip)', most: 100_000, yielded: true },
		{ key: 'yieldRich', label: 'Yield with plenty (strip)', most: 100_000, yielded: true },
		{ key: 'index', label: 'Canopy index', most: 10, yielded: false },
		{ key: 'richIndex', label: 'Canopy index of the rich strip', most: 10, yielded: false }
	] as const;

	let open = $state(true);
	let problem = $state('');
	const seen = untrack(() => facts);
	const unitOf = (nutrient: RateNutrient) => (nutrient === 'lime' ? 'short ton/ac' : 'lb/ac');
	const rateLabel = (nutrient: RateNutrient) =>
		`${nutrient === 'lime' ? 'Lime' : nutrient}, ${unitInSystem(unitOf(nutrient), units)}`;
	const text = (value: number | undefined) => (value === undefined ? '' : String(value));
	/** What stands in each box, by the name of what it holds. */
	type Texts = Record<string, string>;
	let form = $state<Record<'ground' | 'values' | 'rates' | 'reasons', Texts>>(
		untrack(() => ({
			ground: Object.fromEntries(
				GROUND.map(({ key, yielded }) => [key, yielded ? typedAmount(facts[key], yieldUnit, units) : text(facts[key])])
			),
			values: Object.fromEntries(ZONE_ANALYTES.map((one) => [one, text(facts.values?.[one])])),
			rates: Object.fromEntries(nutrients.map((one) => [one, typedAmount(facts.own?.[one]?.rate, unitOf(one), units)])),
			reasons: Object.fromEntries(nutrients.map((one) => [one, facts.own?.[one]?.reason ?? '']))
		}))
	);

	function placeholder(quantity: keyof ZoneMeans | 'yieldGoal'): string {
		if (quantity === 'yieldGoal')
			return yieldGoal === undefined ? 'as the field' : `${typedAmount(yieldGoal, yieldUnit, units)}, as the field`;
		const known = means[quantity];
		return known ? `${formatNumber(Number(known.mean.toPrecision(3)), 'ratio')}, by ${known.layer}` : 'as the field';
	}

	function read(given: string, label: string, most: number): number | undefined {
		if (given.trim() === '') return undefined;
		const value = numberOrUndefined(given);
		if (value === undefined || value < 0 || value > most)
			throw new RangeError(`${label}: “${given}” must be a number from 0 to ${most}.`);
		return value;
	}

	/** @throws RangeError in words the adviser can act on */
	function typed(): ZoneFacts {
		const made: ZoneFacts = {};
		for (const { key, label, most, yielded } of GROUND) {
			const given = form.ground[key]!;
			if (read(given, label, most) === undefined) continue;
			made[key] = yielded ? keptAmount(given, facts[key], yieldUnit, units)! : Number(given);
		}
		for (const analyte of ZONE_ANALYTES) {
			const value = read(form.values[analyte]!, analyte, 100_000);
			if (value !== undefined) made.values = { ...made.values, [analyte]: value };
		}
		for (const nutrient of nutrients) {
			const given = form.rates[nutrient]!;
			if (read(given, `Rate of ${nutrient}`, 10_000) === undefined) continue;
			const rate = keptAmount(given, facts.own?.[nutrient]?.rate, unitOf(nutrient), units)!;
			const reason = form.reasons[nutrient]!.trim();
			if (reason === '') throw new RangeError(`Say why ${nutrient} is ${given} in ${name}.`);
			made.own = { ...made.own, [nutrient]: { rate, reason } };
		}
		return made;
	}

	async function save(): Promise<void> {
		try {
			problem = await keep(typed(), seen);
		} catch (error) {
			problem = messageOf(error);
		}
	}
</script>

<Modal
	bind:open
	modalHeading={`What is known of ${name}`}
	primaryButtonText="Save it"
	secondaryButtonText="Cancel"
	hasForm
	on:click:button--secondary={close}
	on:close={close}
	on:submit={save}
>
	<div class="stack">
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		<p class="soft small">What is left empty holds as for the whole field, or by the mean of a layer.</p>
		<div class="fields">
			{#each GROUND as { key, label, yielded } (key)}
				<TextInput
					size="sm"
					labelText={yielded ? `${label}, ${unitInSystem(yieldUnit, units)}` : label}
					placeholder={key === 'yieldGoal'
						? placeholder('yieldGoal')
						: key === 'index'
							? placeholder('canopy index')
							: ''}
					bind:value={form.ground[key]}
				/>
			{/each}
		</div>
		<h3>Soil test, in the field’s own units and methods</h3>
		<div class="fields narrow">
			{#each ZONE_ANALYTES as analyte (analyte)}
				<TextInput size="sm" labelText={analyte} placeholder={placeholder(analyte)} bind:value={form.values[analyte]} />
			{/each}
		</div>
		{#if nutrients.length > 0}
			<h3>Rates of your own</h3>
			{#each nutrients as nutrient (nutrient)}
				<div class="own">
					<TextInput
						size="sm"
						labelText={rateLabel(nutrient)}
						placeholder="by the method"
						bind:value={form.rates[nutrient]}
					/>
					<TextInput size="sm" labelText={`Why, ${nutrient}`} bind:value={form.reasons[nutrient]} />
				</div>
			{/each}
		{/if}
	</div>
</Modal>

<style>
	.stack {
		display: grid;
		gap: 0.7rem;
	}
	.narrow {
		grid-template-columns: repeat(4, 1fr);
	}
	.own {
		display: grid;
		grid-template-columns: 1fr 2fr;
		gap: 1rem;
	}
	h3 {
		margin: 0.2rem 0 0;
	}
</style>
