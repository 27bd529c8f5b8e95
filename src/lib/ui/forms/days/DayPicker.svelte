<!-- A day, chosen in the calendar or typed: 2027-06-14, 14 Jun 2027 and 6/14/2027 are all read. -->
<script lang="ts">
	import { DatePicker, DatePickerInput } from 'carbon-components-svelte';
	import { parseDay } from './dates';

	interface Props {
		/** Year-month-day; empty while none is chosen. */
		date: string;
		label: string;
		placeholder?: string | undefined;
		/** As tall as the other fields of a walk screen, for thumbs. */
		tall?: boolean | undefined;
	}
	let { date = $bindable(), label, placeholder, tall }: Props = $props();
</script>

<div class="day">
	<DatePicker
		datePickerType="single"
		dateFormat="Y-m-d"
		flatpickrProps={{ static: true, parseDate: (text) => parseDay(text) ?? new Date(NaN) }}
		bind:value={date}
	>
		<DatePickerInput size={tall ? undefined : 'sm'} labelText={label} {placeholder} />
	</DatePicker>
</div>

<style>
	.day :global(.bx--date-picker),
	.day :global(.bx--date-picker-container),
	.day :global(.bx--date-picker-input__wrapper),
	.day :global(.flatpickr-wrapper),
	.day :global(.bx--date-picker__input) {
		width: 100% !important;
	}
</style>
