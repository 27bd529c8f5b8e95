<!-- N-rich and zero-N strips by zone: yields, or the canopy index against that of a strip with plenty. -->
<script lang="ts">
	import { Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { CropTestAction, StripZone } from '$core/schema-types';
	import { ReferenceStripsBounds } from '$core/schema-types/bounds';
	import { unitInSystem, valueFromSystem, type UnitSystem } from '$core/units/rate-units';
	import { numberWithin } from '../forms/number-within';
	import { numberOrUndefined } from '../forms/numbers';
	import DayField from '../forms/days/DayField.svelte';
	import WalkForm from './WalkForm.svelte';

	interface Props {
		today: string;
		yieldUnit: string;
		units: UnitSystem;
		book: (test: CropTestAction) => Promise<boolean>;
	}
	const { today, yieldUnit, units, book }: Props = $props();

	const empty = () => ({ name: '', areaAcres: '', yieldWithout: '', yieldRich: '', index: '', richIndex: '' });
	type Zone = ReturnType<typeof empty>;
	const NAMES: Record<Exclude<keyof Zone, 'name'>, string> = {
		areaAcres: untrack(() => `Area, ${unitInSystem('ac', units)}`),
		yieldWithout: 'Yield without',
		yieldRich: 'Yield with plenty',
		index: 'Canopy index',
		richIndex: 'Index of rich strip'
	};

	let date = $state(untrack(() => today));
	let by = $state<'yield' | 'index'>('yield');
	let efficiency = $state('');
	let mostYield = $state('');
	let zones = $state<Zone[]>([empty()]);
	let problem = $state('');

	const columns = $derived<(keyof typeof NAMES)[]>(
		by === 'yield' ? ['areaAcres', 'yieldWithout', 'yieldRich'] : ['areaAcres', 'yieldWithout', 'index', 'richIndex']
	);

	/** A zone as it is kept, or what is wrong with it. */
	function readZone(zone: Zone, at: number): Record<string, string | number> | string {
		const name = zone.name.trim() || `Zone ${at + 1}`;
		const read: Record<string, string | number> = { name };
		for (const column of columns) {
			const text = zone[column];
			if (text.trim() === '' && column === 'areaAcres') continue;
			const value = numberOrUndefined(text);
			if (value === undefined || value < 0)
				return `${NAMES[column]} of ${name} must be a number, 0 or more; it says “${text}”.`;
			read[column] = column === 'areaAcres' ? valueFromSystem(value, 'ac', units) : value;
		}
		return read;
	}

	async function save(): Promise<void> {
		const read = zones.map(readZone);
		const wrong = read.find((zone) => typeof zone === 'string');
		if (wrong !== undefined) return void (problem = wrong as string);
		const share = numberWithin(efficiency, ReferenceStripsBounds.efficiency, 'The efficiency');
		if (typeof share === 'string') return void (problem = share);
		const most = numberOrUndefined(mostYield);
		if (by === 'index' && mostYield.trim() !== '' && !(most && most > 0))
			return void (problem = `The most this ground yields “${mostYield}” must be a number above 0.`);
		problem = '';
		const found = {
			date,
			zones: read as StripZone[],
			...(share ? { efficiency: share } : {}),
			...(by === 'index' && most ? { mostYield: most } : {})
		};
		if (await book({ kind: 'strips', found })) zones = [empty()];
	}
</script>

<WalkForm {save} {problem} action="Save the strips">
	<div class="fields">
		<DayField label="Day" tall bind:date />
		<Select labelText="Strips are read by" bind:selected={by}>
			<SelectItem value="yield" text={`yield, ${yieldUnit}`} />
			<SelectItem value="index" text="canopy index" />
		</Select>
		<TextInput labelText="Use efficiency (usual 0.6)" placeholder="0.6" inputmode="decimal" bind:value={efficiency} />
		{#if by === 'index'}
			<TextInput labelText={`Most this ground yields, ${yieldUnit}`} inputmode="decimal" bind:value={mostYield} />
		{/if}
	</div>
	{#each zones as zone, at (at)}
		<fieldset class="fields">
			<legend>Zone {at + 1}</legend>
			<TextInput labelText="Name" placeholder={`Zone ${at + 1}`} bind:value={zone.name} />
			{#each columns as column (column)}
				<TextInput labelText={NAMES[column]} inputmode="decimal" bind:value={zone[column]} />
			{/each}
		</fieldset>
	{/each}
	<button type="button" class="plain" onclick={() => (zones = [...zones, empty()])}>Another zone</button>
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
