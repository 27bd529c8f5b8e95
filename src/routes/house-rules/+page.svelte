<script lang="ts">
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import { keysOf } from '$core/check/typed-object';
	import type { CropId, HouseRules, NoGo, OwnCeiling } from '$core/schema-types';
	import { OwnCeilingBounds } from '$core/schema-types/bounds';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { quantityIn } from '$core/units/amount-text';
	import { factsIn } from '$lib/ui/forms/number-within';
	import { keptNumbers, typedAmount } from '$lib/ui/forms/typed-amount';
	import NumberField from '$lib/ui/forms/NumberField.svelte';
	import { save } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();

	const { units } = $derived(data.settings);
	const WHAT: NoGo['what'][] = ['everything', 'nitrogen', 'phosphate'];
	const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
	let problem = $state('');
	const empty = () => ({ from: '', to: '', what: 'everything', reason: '', crop: '', grower: '', ground: '' });
	let form = $state(empty());
	let ceiling = $state(
		untrack(() => ({
			lbAc: typedAmount(data.rules.besideSeed?.lbAc, 'lb/ac', units),
			sandyLbAc: typedAmount(data.rules.besideSeed?.sandyLbAc, 'lb/ac', units)
		}))
	);

	/** "15 Dec" of "12-15". */
	const dayText = (day: string) => `${Number(day.slice(3))} ${MONTHS[Number(day.slice(0, 2)) - 1]}`;

	/** What a rule is for, in words. */
	function scopeText({ crop, grower, ground }: NoGo): string {
		const name = data.crops.find(({ id }) => id === crop)?.name.toLowerCase();
		return [name, grower, ground && 'light ground'].filter(Boolean).join(', ') || 'every field';
	}

	async function keep(rules: HouseRules): Promise<boolean> {
		problem = await save('PUT /api/house-rules', {}, rules);
		return problem === '';
	}

	async function add(): Promise<void> {
		const wrong = [form.from, form.to].find((day) => !/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/.test(day));
		if (wrong !== undefined) {
			problem = `The day “${wrong}” must be written as month and day, such as 12-15.`;
			return;
		}
		if (form.reason.trim() === '') return void (problem = 'Say why: the reason stands on every plan that it stops.');
		const rule: NoGo = {
			from: form.from,
			to: form.to,
			what: form.what as NoGo['what'],
			reason: form.reason.trim(),
			...(form.crop === '' ? {} : { crop: form.crop as CropId }),
			...(form.grower === '' ? {} : { grower: form.grower }),
			...(form.ground === '' ? {} : { ground: 'light' as const })
		};
		if (await keep({ ...data.rules, noGo: [...data.rules.noGo, rule] })) form = empty();
	}

	async function remove(at: number): Promise<void> {
		await keep({ ...data.rules, noGo: data.rules.noGo.filter((_, index) => index !== at) });
	}

	async function keepCeiling(): Promise<void> {
		const besideSeed = ceilingTyped();
		if (typeof besideSeed === 'string') return void (problem = besideSeed);
		await keep({ ...data.rules, besideSeed });
	}

	function ceilingTyped(): OwnCeiling | string {
		const numbers = keptNumbers(ceiling, data.rules.besideSeed ?? {}, OwnCeilingBounds, units);
		if (typeof numbers === 'string') return numbers;
		const { lbAc, sandyLbAc } = numbers;
		if (lbAc === undefined || sandyLbAc === undefined) return 'Both ceilings are needed; 0 is one too.';
		return { lbAc, sandyLbAc };
	}

	async function usualCeiling(): Promise<void> {
		if (await keep({ noGo: data.rules.noGo })) ceiling = { lbAc: '', sandyLbAc: '' };
	}
</script>

{#snippet fromCell({ from }: NoGo)}{dayText(from)}{/snippet}
{#snippet toCell({ to }: NoGo)}{dayText(to)}{/snippet}
{#snippet deleteCell({ at }: { at: number })}
	<button type="button" class="plain" onclick={() => remove(at)}>Delete</button>
{/snippet}

<div class="page">
	<h1>My rules</h1>
	<p class="soft">
		What you keep to beside the guides. Local law comes first. Distances to wells and streams stand with each field,
		under Ground.
	</p>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}

	<section class="section" aria-label="No-go dates">
		<h2>Days on which nothing, or not this, goes on</h2>
		{#if data.rules.noGo.length === 0}
			<p class="soft">None yet. A plan with a pass on such a day is stopped, with your reason.</p>
		{:else}
			<ListTable
				label="No-spread dates"
				rows={data.rules.noGo.map((rule, at) => ({ ...rule, at }))}
				columns={[
					{ name: 'From', of: ({ from }) => from, cell: fromCell },
					{ name: 'To', of: ({ to }) => to, cell: toCell },
					{ name: 'No', of: ({ what }) => (what === 'everything' ? 'passes at all' : what) },
					{ name: 'For', of: scopeText },
					{ name: 'Because', of: ({ reason }) => reason },
					{ name: '', cell: deleteCell }
				]}
			/>
		{/if}
		<div class="fields">
			<TextInput size="sm" labelText="From (month-day)" placeholder="12-15" bind:value={form.from} />
			<TextInput size="sm" labelText="To (month-day)" placeholder="03-01" bind:value={form.to} />
			<Select size="sm" labelText="What must not go on" bind:selected={form.what}>
				{#each WHAT as what (what)}<SelectItem value={what} text={what} />{/each}
			</Select>
			<Select size="sm" labelText="Crop" bind:selected={form.crop}>
				<SelectItem value="" text="every crop" />
				{#each data.crops as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
			</Select>
			<Select size="sm" labelText="Grower" bind:selected={form.grower}>
				<SelectItem value="" text="every grower" />
				{#each data.growers as name (name)}<SelectItem value={name} text={name} />{/each}
			</Select>
			<Select size="sm" labelText="Ground" bind:selected={form.ground}>
				<SelectItem value="" text="all ground" />
				<SelectItem value="light" text="light: sandy, or CEC below 10" />
			</Select>
			<TextInput size="sm" labelText="Why" bind:value={form.reason} />
		</div>
		<Button size="small" kind="tertiary" onclick={add}>Add these days</Button>
	</section>

	<section class="section" aria-label="Band beside the seed">
		<h2>Nitrogen and potash in the band beside the seed</h2>
		<p class="soft">
			At most {quantityIn(units, data.usual.lbAc, 'lb/ac')} of N and K2O on {quantityIn(
				units,
				data.usual.referenceRowIn,
				'in'
			)} rows,
			{quantityIn(units, data.usual.sandyLbAc, 'lb/ac')} in sandy ground (judgement). Your own ceiling takes their place;
			other row spacings follow in proportion.
		</p>
		<div class="fields">
			{#each keysOf(ceiling) as name (name)}
				<NumberField
					facts={factsIn(OwnCeilingBounds[name], 'lb/ac', units)}
					placeholder={typedAmount(data.usual[name], 'lb/ac', units)}
					bind:text={ceiling[name]}
				/>
			{/each}
		</div>
		<div class="row">
			<Button size="small" kind="tertiary" onclick={keepCeiling}>Save my ceiling</Button>
			{#if data.rules.besideSeed}<Button size="small" kind="ghost" onclick={usualCeiling}>Back to the usual one</Button
				>{/if}
		</div>
	</section>
</div>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(10rem, 1fr));
		gap: 0.8rem 1.2rem;
		max-width: 56rem;
		margin: 0.8rem 0;
	}
</style>
