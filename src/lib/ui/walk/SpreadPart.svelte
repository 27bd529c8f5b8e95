<!-- What palms of this block were found to have got, check by check, and a form for the next. -->
<script lang="ts">
	import { Disclosure, TextInput } from 'carbon-components-svelte';
	import { untrack } from 'svelte';
	import type { PalmSpread } from '$core/supply/calibration/palm-spread';
	import type { SpreadCheck } from '$core/schema-types';
	import { longDate } from '$core/units/day-text';
	import { remove, save, type YearAddress } from '../forms/call';
	import DayField from '../forms/days/DayField.svelte';
	import { numberOrUndefined } from '../forms/numbers';
	import PalmFields from '../supply/calibration/PalmFields.svelte';
	import SpreadResult from '../supply/calibration/SpreadResult.svelte';
	import { readPalms, type TypedPalms } from '../supply/calibration/typed-palms';
	import RowMenu from '../tables/RowMenu.svelte';
	import WalkForm from './WalkForm.svelte';

	interface Props {
		checks: readonly (SpreadCheck & { id: string; found: PalmSpread | undefined })[];
		today: string;
		address: YearAddress;
	}
	const { checks, today, address }: Props = $props();

	const nothing = (): TypedPalms => ({ road: '', middle: '', path: '' });
	let date = $state(untrack(() => today));
	let ordered = $state('');
	let team = $state('');
	let typed = $state(nothing());
	let problem = $state('');

	async function keep(): Promise<void> {
		const orderedKg = numberOrUndefined(ordered);
		if (orderedKg === undefined || orderedKg <= 0)
			return void (problem = `The dose “${ordered}” must be kilograms above 0.`);
		const weighed = readPalms(typed);
		if (typeof weighed === 'string') return void (problem = weighed);
		problem = await save('POST /api/fields/{field}/{year}/spread-checks', address, {
			date,
			orderedKg,
			weighed,
			...(team.trim() === '' ? {} : { team: team.trim() })
		});
		if (!problem) typed = nothing();
	}

	async function drop(check: string): Promise<void> {
		problem = await remove('DELETE /api/fields/{field}/{year}/spread-checks/{check}', { ...address, check });
	}
</script>

<section aria-label="Doses of palms">
	<h2>Doses of palms</h2>
	{#each checks as { id, date: day, team: who, orderedKg, found } (id)}
		<article aria-label={`Check of ${longDate(day)}`}>
			<h3>
				{longDate(day)}{who ? `, ${who}` : ''}, {orderedKg} kg ordered
				<RowMenu
					label={`What to do with the check of ${longDate(day)}`}
					acts={[{ text: 'Delete', act: () => void drop(id) }]}
				/>
			</h3>
			{#if found}<SpreadResult {found} />{:else}<p>No palm got anything.</p>{/if}
		</article>
	{/each}
	<Disclosure align="start" open={checks.length === 0} summary={checks.length === 0 ? 'Record one' : 'Record another'}>
		<p class="soft small">
			Weigh what about ten palms got near the road, in the middle and at the centre path. Teams start by turns from the
			road and from the centre path; bags are counted out, used and back.
		</p>
		<WalkForm save={keep} {problem} action="Save the check">
			<div class="fields">
				<DayField label="Day" tall bind:date />
				<TextInput labelText="Ordered, kg/palm" inputmode="decimal" bind:value={ordered} />
				<TextInput labelText="Team" placeholder="not named" bind:value={team} />
			</div>
			<PalmFields bind:typed />
		</WalkForm>
	</Disclosure>
</section>

<style>
	section {
		border-top: 1px solid var(--rule);
		padding: 0.9rem 0 1.2rem;
	}
	h3 {
		display: flex;
		align-items: center;
		gap: 0.4rem;
	}
	section :global(.bx--text-input) {
		min-height: 2.75rem;
		font-size: 1.05rem;
	}
</style>
