<!-- The facts of a field, with the form that changes them, and what its grower has for all fields. -->
<script lang="ts">
	import {
		Button,
		Checkbox,
		InlineNotification,
		Select,
		SelectItem,
		TextArea,
		TextInput
	} from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { FieldFacts, GrowerAction } from '$core/schema-types';
	import { FactsActionBounds } from '$core/schema-types/bounds';
	import { quantityIn } from '$core/units/amount-text';
	import type { UnitSystem } from '$core/units/rate-units';
	import type { GroundPage } from '$lib/server/pages/ground-page';
	import { save } from '../forms/call';
	import { TEXTURE_CLASSES } from '$core/ground/texture-classes';
	import NumberField from '../forms/NumberField.svelte';
	import { factsIn, typedNumber } from '../forms/number-within';
	import { keptNumber, typedAmount } from '../forms/typed-amount';

	interface Props {
		data: Pick<GroundPage, 'field' | 'facts' | 'stations'> & { units: UnitSystem; grower: GrowerAction };
	}
	const { data }: Props = $props();
	const TENURES = ['owned', 'rented long', 'rented by the year'];
	const DRAINAGE = ['well', 'moderate', 'somewhat poor', 'poor'];

	let editing = $state(false);
	let problem = $state('');
	let form = $state(untrack(start));
	/** What the form started from. */
	let seen = $state.raw(untrack(() => data.facts));

	function start() {
		const { name, area_ac, texture, drainage, slope_percent, irrigated, note, tenure } = data.field;
		return {
			name,
			area: typedAmount(area_ac, 'ac', data.units),
			texture: texture ?? '',
			drainage: drainage ?? '',
			slope: slope_percent === null ? '' : String(slope_percent),
			irrigated: irrigated === 1,
			tenure: tenure ?? '',
			units: data.grower.units ?? '',
			station: data.grower.station ?? '',
			note
		};
	}

	/** What was chosen from lists that hold nothing else. */
	function choicesOf({ texture, tenure, drainage }: ReturnType<typeof start>): Record<string, string> {
		return Object.fromEntries(Object.entries({ texture, tenure, drainage }).filter(([, value]) => value !== ''));
	}

	function edit(): void {
		form = start();
		seen = data.facts;
		problem = '';
		editing = true;
	}

	async function saveFacts(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const areaAcres = keptNumber(form.area, data.field.area_ac, FactsActionBounds.areaAcres, 'ac', data.units);
		if (typeof areaAcres === 'string') return void (problem = areaAcres);
		const slopePercent = typedNumber(form.slope, FactsActionBounds.slopePercent);
		if (typeof slopePercent === 'string') return void (problem = slopePercent);
		problem = await save(
			'PUT /api/fields/{field}/facts',
			{ field: data.field.id },
			{
				name: form.name,
				irrigated: form.irrigated,
				note: form.note,
				...(areaAcres === undefined ? {} : { areaAcres }),
				...(choicesOf(form) as Pick<FieldFacts, 'texture' | 'tenure' | 'drainage'>),
				...(slopePercent === undefined ? {} : { slopePercent }),
				seen
			}
		);
		const { units, station } = start();
		if (problem === '' && (form.units !== units || form.station !== station)) {
			const grower = {
				...(form.units === '' ? {} : { units: form.units as UnitSystem }),
				...(form.station === '' ? {} : { station: form.station })
			};
			problem = await save('PUT /api/fields/{field}/grower', { field: data.field.id }, grower);
		}
		if (problem === '') editing = false;
	}
</script>

<div class="facts">
	{#if editing}
		<form onsubmit={saveFacts}>
			<div class="fields">
				<TextInput size="sm" labelText="Name" bind:value={form.name} />
				<NumberField facts={factsIn(FactsActionBounds.areaAcres, 'ac', data.units)} bind:text={form.area} />
				<Select size="sm" labelText="Texture" bind:selected={form.texture}>
					<SelectItem value="" text="Not known" />
					{#each TEXTURE_CLASSES as texture (texture)}<SelectItem value={texture} text={texture} />{/each}
				</Select>
				<Select size="sm" labelText="Drainage" bind:selected={form.drainage}>
					<SelectItem value="" text="Not known" />
					{#each DRAINAGE as drainage (drainage)}<SelectItem value={drainage} text={drainage} />{/each}
				</Select>
				<Select size="sm" labelText="Tenure" bind:selected={form.tenure}>
					<SelectItem value="" text="Not known" />
					{#each TENURES as tenure (tenure)}<SelectItem value={tenure} text={tenure} />{/each}
				</Select>
				<NumberField facts={FactsActionBounds.slopePercent} bind:text={form.slope} />
				<Checkbox labelText="Irrigated" bind:checked={form.irrigated} />
				<Select size="sm" labelText={`Units for all fields of ${data.field.grower}`} bind:selected={form.units}>
					<SelectItem value="" text="As the book" />
					<SelectItem value="us" text="lb/ac, acres" />
					<SelectItem value="metric" text="kg/ha, hectares" />
				</Select>
				<Select size="sm" labelText={`Weather of ${data.field.grower}`} bind:selected={form.station}>
					<SelectItem value="" text="As the book" />
					{#each data.stations as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
				</Select>
			</div>
			<TextArea labelText="Note" rows={3} bind:value={form.note} />
			{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
			<div class="row">
				<Button size="small" type="submit">Save the facts</Button>
				<Button size="small" kind="ghost" onclick={() => (editing = false)}>Cancel</Button>
			</div>
		</form>
	{:else}
		<dl class="fact-grid">
			<div>
				<dt>Area</dt>
				<dd>{data.field.area_ac === null ? 'not known' : quantityIn(data.units, data.field.area_ac, 'ac')}</dd>
			</div>
			<div>
				<dt>Texture</dt>
				<dd>{data.field.texture ?? 'not known'}</dd>
			</div>
			<div>
				<dt>Drainage</dt>
				<dd>{data.field.drainage ?? 'not known'}</dd>
			</div>
			<div>
				<dt>Slope</dt>
				<dd>{data.field.slope_percent === null ? 'not known' : `${data.field.slope_percent} %`}</dd>
			</div>
			<div>
				<dt>Tenure</dt>
				<dd>{data.field.tenure ?? 'not known'}</dd>
			</div>
			<div>
				<dt>Irrigated</dt>
				<dd>{data.field.irrigated ? 'yes' : 'no'}</dd>
			</div>
		</dl>
		{#if data.field.note}<p>{data.field.note}</p>{/if}
		<Button size="small" kind="tertiary" onclick={edit}>Change the facts</Button>
	{/if}
</div>

<style>
	.facts {
		margin-bottom: 1.2rem;
	}
	form {
		display: grid;
		gap: 0.9rem;
	}
</style>
