<!-- What holds of a block in one year: the days its season turns on, and its leaf test. -->
<script lang="ts">
	import { Button, Disclosure, InlineNotification, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { BlockYear } from '$core/schema-types';
	import { LeafTestBounds } from '$core/schema-types/bounds';
	import { shortDate } from '$core/units/day-text';
	import type { RatesPage } from '$lib/server/pages/rates-page';
	import DayField from '../../forms/days/DayField.svelte';
	import NumberField from '../../forms/NumberField.svelte';
	import { typedNumbers } from '../../forms/number-within';
	import { save, type YearAddress } from '../../forms/call';

	interface Props {
		year: NonNullable<RatesPage['goalPage']['perennial']>;
		address: YearAddress;
	}
	const { year, address }: Props = $props();

	const ELEMENTS = ['N', 'P', 'K', 'Mg', 'Ca', 'B'] as const;
	let open = $state(false);
	let problem = $state('');
	let form = $state(untrack(start));
	/** What the form started from. */
	let seen = untrack(() => year.blockYear);

	function start() {
		const { leaf } = year.blockYear;
		return {
			days: Object.fromEntries(year.days.map(({ anchor }) => [anchor, year.blockYear[anchor] ?? ''])),
			leaf: Object.fromEntries(ELEMENTS.map((element) => [element, String(leaf?.[element] ?? '')])) as Record<
				(typeof ELEMENTS)[number],
				string
			>,
			takenOn: leaf?.takenOn ?? '',
			part: leaf?.part ?? '',
			bearing: year.blockYear.bearing ?? ''
		};
	}

	const summary = $derived.by(() => {
		const { leaf, fromLog } = year;
		const found = ELEMENTS.flatMap((element) =>
			leaf?.[element] ? `${element} ${leaf[element]} ${LeafTestBounds[element].unit}` : []
		);
		const taken = leaf?.takenOn ? ` of ${shortDate(leaf.takenOn)}` : '';
		return found.length > 0
			? `Leaf test${taken}${fromLog ? ', from the log under Reading' : ''}: ${found.join(', ')}`
			: 'Leaf test and days of the season';
	});

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const found = typedNumbers(form.leaf, LeafTestBounds, []);
		if (typeof found === 'string') return void (problem = found);
		const part = form.part.trim();
		const leaf: NonNullable<BlockYear['leaf']> = {
			...found,
			...(form.takenOn ? { takenOn: form.takenOn } : {}),
			...(part ? { part } : {})
		};
		const blockYear: BlockYear = {
			...Object.fromEntries(Object.entries(form.days).filter(([, date]) => date)),
			...(form.bearing === 'on' || form.bearing === 'off' ? { bearing: form.bearing } : {}),
			...(Object.keys(leaf).length > 0 ? { leaf } : {})
		};
		problem = await save('PUT /api/fields/{field}/{year}/block', address, { blockYear, seen });
		if (problem === '') seen = blockYear;
		if (problem === '') open = false;
	}
</script>

<Disclosure align="start" {summary} bind:open>
	<form onsubmit={keep} aria-label="Leaf test and days">
		<div class="fields">
			{#each ELEMENTS as element (element)}
				<NumberField facts={LeafTestBounds[element]} bind:text={form.leaf[element]} />
			{/each}
			<TextInput size="sm" labelText="What was picked" placeholder="mid-shoot leaves" bind:value={form.part} />
			<DayField label="Taken on" bind:date={form.takenOn} />
			{#each year.days as { anchor, name, date } (anchor)}
				<DayField
					label={name.charAt(0).toUpperCase() + name.slice(1)}
					placeholder={`about ${shortDate(date)}`}
					bind:date={() => form.days[anchor] ?? '', (day) => (form.days[anchor] = day)}
				/>
			{/each}
			{#if year.alternates}
				<Select size="sm" labelText="Bears this year" bind:selected={form.bearing}>
					<SelectItem value="" text="Not known" />
					<SelectItem value="on" text="on" />
					<SelectItem value="off" text="off" />
				</Select>
			{/if}
		</div>
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		<Button size="small" type="submit">Save leaf test and days</Button>
	</form>
</Disclosure>

<style>
	form {
		display: grid;
		gap: 0.9rem;
		justify-items: start;
		padding: 0.4rem 0 0.8rem;
	}
</style>
