<!-- Leaf ranges of the adviser's own: new, or made from ranges that stand. -->
<script lang="ts">
	import { Button, InlineNotification, Select, SelectItem, TextArea, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { Crop, LeafRanges } from '$core/schema-types';
	import { LEAF_ELEMENTS, leafUnit } from '$core/units/leaf-units';
	import { save } from '../../forms/call';
	import { emptyRanges, readRanges, typedFrom } from './typed-ranges';

	interface Props {
		crops: readonly Pick<Crop, 'id' | 'name'>[];
		/** What the form starts from. */
		from: LeafRanges | undefined;
		saved: (ranges: LeafRanges) => void;
		close: () => void;
	}
	const { crops, from, saved, close }: Props = $props();
	let typed = $state(untrack(() => (from ? typedFrom(from) : emptyRanges(crops[0]?.id ?? ''))));
	let problem = $state('');

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const ranges = readRanges(typed, from);
		if (typeof ranges === 'string') return void (problem = ranges);
		problem = await save('POST /api/leaf-ranges', {}, ranges);
		if (!problem) saved(ranges);
	}
</script>

<form onsubmit={keep} aria-label="Leaf ranges of your own">
	<div class="fields">
		<Select size="sm" labelText="Crop" bind:selected={typed.crop}>
			{#each crops as { id, name } (id)}<SelectItem value={id} text={name} />{/each}
		</Select>
		<TextInput size="sm" labelText="Leaves" placeholder="ear leaf" bind:value={typed.part} />
		<TextInput size="sm" labelText="When" placeholder="initial silk" bind:value={typed.when} />
		<TextInput size="sm" labelText="Other words for when" placeholder="R1, silking" bind:value={typed.stages} />
		<TextInput size="sm" labelText="From year of its life" inputmode="numeric" bind:value={typed.fromAge} />
		<TextInput size="sm" labelText="To year of its life" inputmode="numeric" bind:value={typed.toAge} />
	</div>
	<div class="fields narrow">
		{#each LEAF_ELEMENTS as element (element)}
			<fieldset>
				<legend>{element}, {leafUnit(element)}</legend>
				<TextInput
					size="sm"
					hideLabel
					labelText={`${element} from`}
					placeholder="from"
					inputmode="decimal"
					bind:value={() => typed.low[element] ?? '', (text) => (typed.low[element] = text)}
				/>
				<TextInput
					size="sm"
					hideLabel
					labelText={`${element} to`}
					placeholder="to"
					inputmode="decimal"
					bind:value={() => typed.high[element] ?? '', (text) => (typed.high[element] = text)}
				/>
			</fieldset>
		{/each}
	</div>
	<div class="fields wide">
		<TextArea labelText="How a sample is picked" rows={2} bind:value={typed.how} />
		<TextInput size="sm" labelText="Leaves of a sample" inputmode="numeric" bind:value={typed.leaves} />
		<TextInput
			size="sm"
			labelText="Where the ranges are from"
			placeholder="own trials of 2024 to 2026"
			bind:value={typed.citation}
		/>
	</div>
	{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
	<div class="row">
		<Button size="small" type="submit">Save the ranges</Button>
		<Button size="small" kind="ghost" onclick={close}>Cancel</Button>
	</div>
</form>

<style>
	form {
		display: grid;
		gap: 0.8rem;
		justify-items: start;
		max-width: 72rem;
		margin-bottom: 1.6rem;
	}
	.wide {
		grid-template-columns: minmax(18rem, 2fr) 9rem minmax(14rem, 1fr);
		align-items: end;
		width: 100%;
	}
	.narrow {
		grid-template-columns: repeat(auto-fill, minmax(9rem, 1fr));
	}
	fieldset {
		display: flex;
		gap: 0.3rem;
	}
	legend {
		font-size: 0.85rem;
	}
</style>
