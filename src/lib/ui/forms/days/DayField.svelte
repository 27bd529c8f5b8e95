<!-- A day, chosen in the calendar or typed. The calendar is heavy and comes once the field is near; until then the field takes text. -->
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

	let holder = $state<HTMLElement>();
	let loaded = $state.raw<{ Picker: typeof DayPicker; typedDay: (text: string) => string }>();
	/** Who has begun to type keeps the field under the cursor: the calendar waits until they leave it. */
	let typing = $state(false);
	let Calendar = $state.raw<typeof DayPicker>();

	$effect(() => {
		if (!holder) return;
		const coming = new IntersectionObserver(
			(seen) => {
				if (!seen.some(({ isIntersecting }) => isIntersecting)) return;
				coming.disconnect();
				void Promise.all([import('./DayPicker.svelte'), import('./dates')]).then(
					([{ default: Picker }, { typedDay }]) => (loaded = { Picker, typedDay })
				);
			},
			// A quarter of a window ahead, so that the calendar is there when the eye is.
			{ rootMargin: '25%' }
		);
		coming.observe(holder);
		return () => coming.disconnect();
	});
	$effect(() => {
		if (loaded && !typing) Calendar = loaded.Picker;
	});

	/** What was typed before the calendar came is read as the calendar would. */
	const read = () => {
		if (!Calendar && loaded) date = loaded.typedDay(date);
	};
</script>

<div bind:this={holder} onfocusin={() => (typing = true)} onfocusout={() => (typing = false)} onchange={read}>
	{#if Calendar}
		<Calendar {label} {placeholder} {tall} bind:date />
	{:else}
		<TextInput size={tall ? undefined : 'sm'} labelText={label} {placeholder} bind:value={date} />
	{/if}
</div>
