<!-- N-rich and zero-N strips by zone: yields, or the canopy index against that of a strip with plenty. -->
<script lang="ts">
	import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CropTestAction, StripZone } from '$core/schema-types';
	import { ReferenceStripsBounds } from '$core/schema-types/bounds';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { factsIn, typedNumbers } from '../forms/number-within';
	import { keptNumber } from '../forms/typed-amount';
	import NumberField from '../forms/NumberField.svelte';
	import DayField from '../forms/days/DayField.svelte';
	import { ASKED, emptyZone, stripFacts, stripZoneOf, type ReadBy } from './typed-strips';
	import WalkForm from './WalkForm.svelte';

	interface Props {
		today: string;
		yieldUnit: string;
		units: UnitSystem;
		book: (test: CropTestAction) => Promise<boolean>;
	}
	const { today, yieldUnit, units, book }: Props = $props();

	const facts = $derived(stripFacts(units, yieldUnit));
	const mostFacts = $derived(factsIn(ReferenceStripsBounds.mostYield, yieldUnit, units));
	let date = $state(untrack(() => today));
	let by = $state<ReadBy>('yield');
	let efficiency = $state('');
	let mostYield = $state('');
	let zones = $state([emptyZone()]);
	let problem = $state('');

	async function save(): Promise<void> {
		const read: StripZone[] = [];
		for (const [at, typed] of zones.entries()) {
			const zone = stripZoneOf(typed, by, units, yieldUnit, at);
			if (typeof zone === 'string') return void (problem = zone);
			read.push(zone);
		}
		const shares = typedNumbers({ efficiency }, ReferenceStripsBounds, []);
		if (typeof shares === 'string') return void (problem = shares);
		const most =
			by === 'index' ? keptNumber(mostYield, undefined, ReferenceStripsBounds.mostYield, yieldUnit, units) : undefined;
		if (typeof most === 'string') return void (problem = most);
		const ground = { ...shares, ...(most === undefined ? {} : { mostYield: most }) };
		problem = '';
		if (await book({ kind: 'strips', found: { date, zones: read, ...ground } })) zones = [emptyZone()];
	}
</script>

<WalkForm {save} {problem} action="Save the strips">
	<div class="fields">
		<DayField label="Day" tall bind:date />
		<Select labelText="Strips are read by" bind:selected={by}>
			<SelectItem value="yield" text={`yield, ${unitInSystem(yieldUnit, units)}`} />
			<SelectItem value="index" text="canopy index" />
		</Select>
		<NumberField tall facts={ReferenceStripsBounds.efficiency} placeholder="0.6" bind:text={efficiency} />
		{#if by === 'index'}
			<NumberField tall facts={mostFacts} bind:text={mostYield} />
		{/if}
	</div>
	{#each zones as zone, at (at)}
		<fieldset class="fields">
			<legend>Zone {at + 1}</legend>
			<TextInput labelText="Name" placeholder={`Zone ${at + 1}`} bind:value={zone.name} />
			{#each ASKED[by] as name (name)}
				<NumberField tall facts={facts[name]} bind:text={zone.numbers[name]} />
			{/each}
		</fieldset>
	{/each}
	<button type="button" class="plain" onclick={() => (zones = [...zones, emptyZone()])}>Another zone</button>
</WalkForm>

<style>
	fieldset {
		border: 0;
		margin: 0;
		padding: 0;
		grid-template-columns: repeat(auto-fill, minmax(110px, 1fr));
	}
	legend {
		font-weight: 600;
		margin-bottom: 0.3rem;
	}
</style>
