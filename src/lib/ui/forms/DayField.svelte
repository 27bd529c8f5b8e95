<!-- A day, chosen in the calendar or typed. The calendar is heavy and comes after the page; until then the field takes text. -->
<script lang="ts">
	import { TextInput } from 'carbon-components-svelte';
	import type { ComponentProps } from 'svelte';
	import type DayPicker from './DayPicker.svelte';

	let {
		date = $bindable(),
		label,
		placeholder = '2027-06-14',
		tall = false
	}: ComponentProps<typeof DayPicker> = $props();
</script>

{#await import('./DayPicker.svelte')}
	<TextInput size={tall ? undefined : 'sm'} labelText={label} {placeholder} bind:value={date} />
{:then { default: Picker }}
	<Picker {label} {placeholder} {tall} bind:date />
{/await}
