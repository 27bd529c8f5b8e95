<!-- When most of the nitrogen goes on, and what else brings some: the credits that guides may take. -->
<script lang="ts">
	import { Button, Checkbox, InlineNotification, Select, SelectItem } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { LegumeCover, NitrogenTerms } from '$core/schema-types';
	import { LegumeCoverBounds, NitrogenTermsBounds } from '$core/schema-types/bounds';
	import { keysOf } from '$core/check/typed-object';
	import type { UnitSystem } from '$core/units/rate-units';
	import NumberField from '../../forms/NumberField.svelte';
	import { factsIn } from '../../forms/number-within';
	import { keptNumbers, typedAmounts } from '../../forms/typed-amount';
	import { save, type YearAddress } from '../../forms/call';
	import DayField from '../../forms/days/DayField.svelte';

	interface Props {
		terms: NitrogenTerms;
		address: YearAddress;
		units: UnitSystem;
	}
	const { terms, address, units }: Props = $props();

	const { manureN, earlierManureN, starterN, irrigationIn, irrigationNitratePpm } = NitrogenTermsBounds;
	const brought = { manureN, earlierManureN, starterN, irrigationIn, irrigationNitratePpm };

	const from = untrack(() => terms);
	let timing = $state<string>(from.timing ?? '');
	let fields = $state(untrack(() => typedAmounts(from, brought, units)));
	let coverKilledOn = $state(from.coverKilledOn ?? '');
	let legumes = $state(from.legumeCover !== undefined);
	let legumesKilledOn = $state(from.legumeCover?.killedOn ?? '');
	let left = $state<string>(from.legumeCover?.left ?? 'surface');
	let inFlower = $state(from.legumeCover?.inFlower ?? false);
	let stand = $state(untrack(() => typedAmounts(from.legumeCover ?? {}, LegumeCoverBounds, units)));
	let problem = $state('');

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const numbers = keptNumbers(fields, terms, brought, units);
		if (typeof numbers === 'string') return void (problem = numbers);
		const cover = legumes ? coverTyped() : undefined;
		if (typeof cover === 'string') return void (problem = cover);
		problem = await save('PUT /api/fields/{field}/{year}/nitrogen', address, {
			...(terms.objective ? { objective: terms.objective } : {}),
			...(terms.toleranceDollars === undefined ? {} : { toleranceDollars: terms.toleranceDollars }),
			...(coverKilledOn === '' ? {} : { coverKilledOn }),
			...(cover ? { legumeCover: cover } : {}),
			...(timing === '' ? {} : { timing: timing as NonNullable<NitrogenTerms['timing']> }),
			...numbers
		});
	}

	/** A sentence where a number of it is none. */
	function coverTyped(): LegumeCover | string {
		const numbers = keptNumbers(stand, terms.legumeCover ?? {}, LegumeCoverBounds, units);
		if (typeof numbers === 'string') return numbers;
		return {
			left: left as NonNullable<LegumeCover['left']>,
			...(legumesKilledOn === '' ? {} : { killedOn: legumesKilledOn }),
			...(inFlower ? { inFlower } : {}),
			...numbers
		};
	}
</script>

<form onsubmit={keep}>
	<div class="fields">
		<Select size="sm" labelText="Most of it goes on, in spring if not said" bind:selected={timing}>
			<SelectItem value="" text="not said" />
			<SelectItem value="autumn" text="in autumn" />
			<SelectItem value="spring" text="in spring" />
			<SelectItem value="split" text="split, most in the crop" />
		</Select>
		{#each keysOf(brought) as key (key)}
			<NumberField facts={factsIn(brought[key], brought[key].unit, units)} bind:text={fields[key]} />
		{/each}
		<DayField label="Cereal cover crop killed on" bind:date={coverKilledOn} />
	</div>
	<Checkbox labelText="A cover crop of legumes stands before this crop" bind:checked={legumes} />
	{#if legumes}
		<fieldset>
			<legend class="small">Legume cover crop: weigh a clipped and dried sample, or give its height</legend>
			<div class="fields">
				{#each keysOf(LegumeCoverBounds) as key (key)}
					<NumberField
						facts={factsIn(LegumeCoverBounds[key], LegumeCoverBounds[key].unit, units)}
						bind:text={stand[key]}
					/>
				{/each}
				<DayField label="Legumes killed on" bind:date={legumesKilledOn} />
				<Select size="sm" labelText="Then it is" bind:selected={left}>
					<SelectItem value="surface" text="left on top" />
					<SelectItem value="incorporated" text="worked in" />
				</Select>
				<Checkbox labelText="Killed in flower or later" bind:checked={inFlower} />
			</div>
		</fieldset>
	{/if}
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	<div class="row">
		<Button size="small" kind="tertiary" type="submit">Save these credits</Button>
		<span class="soft small">Each guide takes only the credits it allows; each is a line on its worksheet.</span>
	</div>
</form>

<style>
	form {
		display: grid;
		gap: 0.8rem;
	}
	fieldset {
		min-width: 0;
		margin: 0;
		padding: 0;
		border: 0;
	}
	legend {
		margin-bottom: 0.5rem;
	}
	.row {
		align-items: center;
		gap: 0.9rem;
	}
</style>
