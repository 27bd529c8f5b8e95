<!-- A number in a form as its schema has it: its name, unit and help, and under it what is wrong with what stands in it. -->
<script lang="ts">
	import { TextInput } from 'carbon-components-svelte';
	import { afterPress } from './after-press';
	import { inOtherUnit, typedNumber, wantedNumber, type NumberFacts } from './number-within';

	interface Props {
		/** Of $core/schema-types/bounds. */
		facts: NumberFacts;
		text: string;
		/** The reader's unit where it is not the schema's, and how many of it are one of the schema's. */
		unit?: string | undefined;
		per?: number;
		id?: string;
		placeholder?: string;
		/** Larger, for a thumb in the field. */
		tall?: boolean;
	}
	let { facts, text = $bindable(), unit = facts.unit, per = 1, id, placeholder = '', tall = false }: Props = $props();

	/** What is still being typed is not told to be wrong. */
	let left = $state(false);
	const own = $derived({ ...inOtherUnit(facts, per), unit });
	const invalid = $derived(left && typeof typedNumber(text, own) === 'string');
</script>

<TextInput
	{id}
	size={tall ? undefined : 'sm'}
	labelText={unit ? `${facts.label}, ${unit}` : facts.label}
	helperText={facts.help ?? ''}
	inputmode={facts.whole ? 'numeric' : 'decimal'}
	{placeholder}
	{invalid}
	invalidText={`Must be ${wantedNumber(own, unit)}.`}
	bind:value={text}
	on:focus={() => (left = false)}
	on:blur={() => afterPress(() => (left = true))}
/>
