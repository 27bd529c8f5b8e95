<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { longDate } from '$core/units/day-text';
	import { unitInSystem } from '$core/units/rate-units';
	import { planFertigation } from '$core/supply/fertigation/plan-fertigation';
	import { usualTank } from '$core/supply/fertigation/stock-tanks';
	import { typedAmount } from '$lib/ui/forms/typed-amount';
	import TankAnswers from '$lib/ui/supply/tanks/TankAnswers.svelte';
	import { degreesOf, readTanks, type TypedDose, type TypedSystem } from '$lib/ui/supply/tanks/typed-tanks';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	const { units } = untrack(() => data);
	const days = untrack(() => [...new Set(data.passes.map(({ date }) => date))].sort());

	let day = $state(days[0] ?? '');
	let doses = $state(dosesOf(days[0]));
	let system = $state<TypedSystem>({
		kind: untrack(() => (data.passes.some(({ placement }) => placement === 'pivot') ? 'pivot' : 'drip')),
		zones: '4',
		hours: '8',
		tank: typedAmount(
			untrack(() => data.tankGal),
			'gal',
			units
		),
		warmth: units === 'us' ? '68' : '20',
		acidTo: ''
	});

	function dosesOf(date: string | undefined): TypedDose[] {
		return data.passes
			.filter((pass) => pass.date === date)
			.map(({ product, lbPerAcre }) => ({ product, rate: typedAmount(lbPerAcre, 'lb/ac', units), tank: '' }));
	}

	const request = $derived(
		data.areaAcres === undefined
			? 'The area of the field is not known: give it under Ground.'
			: readTanks(doses, system, { areaAcres: data.areaAcres, water: data.water?.report, units })
	);
	const plan = $derived(typeof request === 'string' ? undefined : planFertigation(request, data.catalogue));
	const nameOf = (id: string) => data.catalogue.find((product) => product.id === id)?.name ?? id;
	const usualOf = (id: string) => {
		const product = data.catalogue.find((one) => one.id === id);
		return product ? usualTank(product) : 'A';
	};
	const card = $derived(
		`/field/${data.fieldId}/${data.year}/supply/tanks/card?day=${day}&plan=${encodeURIComponent(JSON.stringify(request))}`
	);
	let added = $state('');
</script>

<div class="page">
	<h1>Stock tanks and injection</h1>
	<div class="parts">
		<section aria-label="Doses">
			{#if days.length > 1}
				<Select
					size="sm"
					labelText="Passes with the water on"
					selected={day}
					on:update={({ detail }) => {
						day = String(detail);
						doses = dosesOf(day);
					}}
				>
					{#each days as one (one)}<SelectItem value={one} text={longDate(one)} />{/each}
				</Select>
			{:else if day}<p>Passes with the water on {longDate(day)}.</p>
			{:else}<p class="soft">No open pass of the season goes through drip or pivot: add what is to be injected.</p>{/if}
			<h2>Doses</h2>
			{#each doses as dose, at (dose)}
				<div class="dose">
					<TextInput
						size="sm"
						labelText={`${nameOf(dose.product)}, ${unitInSystem('lb/ac', units)}`}
						inputmode="decimal"
						bind:value={dose.rate}
					/>
					<Select size="sm" labelText={`Tank of ${nameOf(dose.product)}`} bind:selected={dose.tank}>
						<SelectItem value="" text={`usual: ${usualOf(dose.product)}`} />
						{#each ['A', 'B', 'C', 'D'] as name (name)}<SelectItem value={name} text={name} />{/each}
					</Select>
					<Button size="small" kind="ghost" onclick={() => doses.splice(at, 1)}>Leave out</Button>
				</div>
			{/each}
			<Select
				size="sm"
				labelText="Add a product"
				bind:selected={added}
				on:update={({ detail }) => {
					if (!detail) return;
					doses.push({ product: String(detail), rate: '10', tank: '' });
					added = '';
				}}
			>
				<SelectItem value="" text="choose" />
				{#each data.products as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			<h2>What it goes through</h2>
			<div class="fields">
				<Select size="sm" labelText="Through" bind:selected={system.kind}>
					<SelectItem value="drip" text="drip" />
					<SelectItem value="pivot" text="pivot" />
				</Select>
				{#if system.kind === 'drip'}
					<TextInput size="sm" labelText="Zones, one after the other" inputmode="numeric" bind:value={system.zones} />
				{/if}
				<TextInput
					size="sm"
					labelText={system.kind === 'drip' ? 'Hours of a zone’s set' : 'Hours for a turn'}
					inputmode="decimal"
					bind:value={system.hours}
				/>
				<TextInput
					size="sm"
					labelText={`A tank holds, ${unitInSystem('gal', units)}`}
					inputmode="decimal"
					bind:value={system.tank}
				/>
				<TextInput
					size="sm"
					labelText={`Water for stock, ${degreesOf(units)}`}
					inputmode="decimal"
					bind:value={system.warmth}
				/>
				<TextInput
					size="sm"
					labelText="pH in the line, with acid"
					placeholder="none put in"
					inputmode="decimal"
					bind:value={system.acidTo}
				/>
			</div>
			<p class="soft small">
				{#if data.water}Into the water of {data.water.source}.{:else}Its water is not known:
					<a href={`/field/${data.fieldId}/${data.year}/ground`}>set the irrigation</a>, so that it is checked too.{/if}
			</p>
		</section>
		<section aria-label="Stock and injection">
			<h2>Stock and injection</h2>
			{#if typeof request === 'string'}<p class="problem" role="alert">{request}</p>
			{:else if plan}
				<TankAnswers {plan} {units} />
				<a href={card} download>Print the card</a>
			{/if}
		</section>
	</div>
</div>

<style>
	.parts {
		display: grid;
		grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
		gap: 2.4rem;
	}
	.dose {
		display: grid;
		grid-template-columns: minmax(0, 3fr) minmax(0, 2fr) auto;
		gap: 0.8rem;
		align-items: end;
		margin-bottom: 0.6rem;
	}
	.fields {
		margin: 0.6rem 0 0.9rem;
	}
	h2 {
		margin-top: 1rem;
	}
	@media (max-width: 600px) {
		.dose {
			grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
		}
	}
	@media (max-width: 900px) {
		.parts {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
