<!-- What was applied of a pass in one load or on one day; or a correction of an entry, with its reason. -->
<script lang="ts">
	import {
		Checkbox,
		InlineNotification,
		Modal,
		Select,
		SelectItem,
		TextArea,
		TextInput
	} from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Applied, Pass } from '$core/schema-types';
	import { tidy } from '$core/units/display';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { save, type YearAddress } from '../forms/call';
	import DayField from '../forms/days/DayField.svelte';
	import RateFields from '../forms/RateFields.svelte';
	import { passUnits, type MeasuredProduct } from '../forms/pass-units';
	import { keptAmount, typedAmount } from '../forms/typed-amount';

	interface Props {
		address: YearAddress;
		/** As it is planned. */
		pass: Pass;
		/** The entry that is corrected. */
		corrects?: { id: string; applied: Applied } | undefined;
		/** Acres that are left of the pass; undefined where the field's area is not known. */
		acresLeft: number | undefined;
		/** Who applied last on this field. */
		lastBy: string;
		/** The day that stands in a new entry. */
		today: string;
		catalogue: readonly (MeasuredProduct & { id: string; name: string })[];
		units: UnitSystem;
		close: () => void;
	}
	const { address, pass, corrects, acresLeft, lastBy, today, catalogue, units, close }: Props = $props();

	let open = $state(true);
	let problem = $state('');
	const before = untrack(() => corrects?.applied);
	const { product: planned, unit: plannedUnit, rate: plannedRate } = untrack(() => pass);
	let day = $state(before?.appliedOn ?? untrack(() => today));
	let product = $state(before?.product ?? planned);
	let wanted = $state<Pass['unit']>(before?.unit ?? plannedUnit);
	let rate = $state(
		untrack(() => typedAmount(tidy(before?.rate ?? plannedRate, 5), before?.unit ?? plannedUnit, units))
	);
	const acresShown = untrack(() => (corrects ? before?.acres : acresLeft && tidy(acresLeft, 5)));
	let acres = $state(untrack(() => typedAmount(acresShown, 'ac', units)));
	let who = $state(before?.who ?? untrack(() => lastBy));
	let problems = $state(before?.problems ?? '');
	let ended = $state(before?.ended ?? false);
	let nothing = $state(false);
	let because = $state('');

	const choices = $derived(passUnits(catalogue.find(({ id }) => id === product)!));
	const unit = $derived(choices.includes(wanted) ? wanted : choices[0]!);

	async function submit(): Promise<void> {
		const amount = keptAmount(rate, before?.rate, unit, units);
		const ground = acres.trim() === '' ? undefined : keptAmount(acres, acresShown, 'ac', units);
		if (corrects && because.trim() === '') return void (problem = 'Say why the entry is corrected.');
		if (!nothing && !((amount ?? 0) > 0)) return void (problem = `The rate “${rate}” must be a number above 0.`);
		if (!nothing && acres.trim() !== '' && !((ground ?? 0) > 0)) {
			return void (problem = `The ground “${acres}” must be a number of ${unitInSystem('ac', units)} above 0.`);
		}
		const applied: Applied = {
			appliedOn: day,
			product,
			rate: amount!,
			unit,
			...(ground === undefined ? {} : { acres: ground }),
			...(who.trim() ? { who: who.trim() } : {}),
			...(problems.trim() ? { problems: problems.trim() } : {}),
			...(ended ? { ended } : {})
		};
		problem = await save('POST /api/fields/{field}/{year}/applications', address, {
			pass: pass.id,
			...(nothing ? {} : { applied }),
			...(corrects ? { corrects: corrects.id, because: because.trim() } : {})
		});
		if (!problem) close();
	}
</script>

<Modal
	bind:open
	modalHeading={corrects ? `Correct an entry on ${pass.label}` : `What was applied of ${pass.label}`}
	primaryButtonText={corrects ? 'Save the correction' : 'Save the entry'}
	secondaryButtonText="Cancel"
	selectorPrimaryFocus="#application-rate"
	hasForm
	on:click:button--secondary={close}
	on:close={close}
	on:submit={submit}
>
	<div class="stack">
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		{#if corrects}
			<p class="soft">The entry stays readable; this one stands in its place.</p>
			<TextInput size="sm" labelText="Why it is corrected" bind:value={because} />
			<Checkbox labelText="Nothing was applied after all" bind:checked={nothing} />
		{/if}
		{#if !nothing}
			<div class="fields">
				<DayField label="Applied on" bind:date={day} />
				<div class="wide">
					<Select size="sm" labelText="Product" bind:selected={product}>
						{#each catalogue as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
					</Select>
				</div>
				<RateFields id="application-rate" bind:rate {unit} {choices} {units} choose={(now) => (wanted = now)} />
				<TextInput
					size="sm"
					labelText={`Ground covered, ${unitInSystem('ac', units)}`}
					placeholder="whole field"
					inputmode="decimal"
					bind:value={acres}
				/>
				<TextInput size="sm" labelText="Applied by" bind:value={who} />
			</div>
			<TextArea rows={2} labelText="Problems and remarks" bind:value={problems} />
			<Checkbox labelText="Nothing more of this pass is applied, whatever ground is left" bind:checked={ended} />
			<p class="soft small">The day’s weather is added from the field’s station where it was measured.</p>
		{/if}
	</div>
</Modal>

<style>
	.stack {
		display: grid;
		gap: 0.9rem;
	}
	.wide {
		grid-column: span 2;
	}
	.stack p {
		margin: 0;
	}
</style>
