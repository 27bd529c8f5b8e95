<!-- One nutrient: every school's rate side by side, and the adviser's own. -->
<script lang="ts">
	import { Button, InlineNotification, TextInput } from 'carbon-components-svelte';
	import { valueFromSystem, type UnitSystem } from '$core/units/rate-units';
	import type { PageData } from '../../routes/field/[field]/[year]/rates/$types';
	import { nutrientColor } from './nutrient-color';
	import { numberOrUndefined } from './numbers';
	import { post } from './post';
	import Quantity from './Quantity.svelte';

	interface Props {
		row: PageData['rows'][number];
		base: string;
		units: UnitSystem;
	}
	const { row, base, units }: Props = $props();

	let writing = $state(false);
	let rate = $state('');
	let reason = $state('');
	let problem = $state('');

	async function choose(method: string, school: string): Promise<void> {
		const label = `Chose ${school.toLowerCase()} for ${row.nutrient}`;
		problem = (await post(base, { label, choices: [{ nutrient: row.nutrient, method }] })) ?? '';
	}

	async function leaveOpen(): Promise<void> {
		problem = (await post(base, { nutrient: row.nutrient }, 'DELETE')) ?? '';
	}

	async function keepOwn(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		const value = numberOrUndefined(rate);
		if (value === undefined || value < 0) return void (problem = `The rate “${rate}” must be a number, 0 or more.`);
		if (reason.trim().length < 3) return void (problem = 'Say why: the reason stands on the sheet.');
		const ownRate = valueFromSystem(value, row.ownUnit, units);
		const label = `Set ${row.nutrient} by own judgement`;
		problem =
			(await post(base, { label, choices: [{ nutrient: row.nutrient, ownRate, reason: reason.trim() }] })) ?? '';
		if (problem === '') writing = false;
	}

	function write(): void {
		rate = row.own?.applies ? String(+row.own.value.toFixed(2)) : '';
		reason = row.choice?.reason ?? '';
		writing = true;
	}
</script>

<section aria-label={row.name}>
	<div class="name">
		<h2 style:--mark={nutrientColor(row.nutrient)}>
			{row.nutrient === 'lime' ? 'Lime' : row.nutrient}
		</h2>
		<span class="soft small">{row.unit}</span>
		{#if row.choice}
			<button type="button" class="plain small" onclick={leaveOpen}>Leave open</button>
		{/if}
	</div>
	<div class="cells">
		{#each row.opinions as opinion (opinion.method)}
			{@const chosen = row.choice?.method === opinion.method}
			<div class="cell" class:chosen class:silent={!opinion.answer.applies}>
				<div class="school">{opinion.school} <span class="soft">{opinion.guide}</span></div>
				{#if opinion.answer.applies}
					<div class="rate">
						{#if opinion.none}<span>none</span>{/if}
						<Quantity answer={opinion.answer} bare label={`${row.name} by ${opinion.guide}`} />
					</div>
					<div class="small soft">
						{#if opinion.none}{opinion.none}{:else if opinion.cost.applies}<Quantity
								answer={opinion.cost}
							/>{:else}{opinion.cost.reason}{/if}
					</div>
					<div class="pick">
						{#if chosen}
							<span class="mark">✓ chosen</span>
						{:else}
							<button type="button" class="plain" onclick={() => choose(opinion.method, opinion.school)}>Choose</button>
						{/if}
					</div>
				{:else}
					<div class="none">does not apply</div>
					<div class="small soft">{opinion.answer.reason}. {opinion.answer.remedy}</div>
					{#if chosen}<div class="small lapsed">This was chosen, and no longer gives a rate.</div>{/if}
				{/if}
			</div>
		{/each}
		<div class="cell own" class:chosen={row.own !== undefined}>
			<div class="school">Your own</div>
			{#if writing}
				<form onsubmit={keepOwn}>
					<TextInput size="sm" labelText={`Rate, ${row.unit}`} inputmode="decimal" bind:value={rate} />
					<TextInput size="sm" labelText="Because" bind:value={reason} />
					{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
					<div class="row">
						<Button size="small" type="submit">Keep it</Button>
						<Button size="small" kind="ghost" onclick={() => (writing = false)}>Cancel</Button>
					</div>
				</form>
			{:else if row.own?.applies}
				<div class="rate"><Quantity answer={row.own} bare label={`${row.name}, your own`} /></div>
				<div class="small soft">because: {row.choice?.reason}</div>
				<div class="pick">
					<span class="mark">✓ chosen</span>
					<button type="button" class="plain" onclick={write}>Change</button>
				</div>
			{:else}
				<button type="button" class="plain" onclick={write}>Write a rate</button>
			{/if}
		</div>
	</div>
	{#if problem && !writing}<p class="problem" role="alert">{problem}</p>{/if}
</section>

<style>
	section {
		display: grid;
		grid-template-columns: 5.2rem 1fr;
		gap: 0.75rem;
		padding: 0.7rem 0;
		border-top: 1px solid var(--rule);
	}
	.name {
		display: grid;
		align-content: start;
		justify-items: start;
		gap: 0.15rem;
	}
	h2 {
		margin: 0;
		border-bottom: 3px solid var(--mark);
		padding-bottom: 1px;
	}
	.cells {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
		gap: 0.5rem;
	}
	.cell {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 0.6rem 0.8rem 0.7rem;
		display: flex;
		flex-direction: column;
		gap: 0.15rem;
	}
	.chosen {
		border: 2px solid var(--action);
		background: var(--action-wash);
		padding: calc(0.6rem - 1px) calc(0.8rem - 1px) calc(0.7rem - 1px);
	}
	.silent,
	.own:not(.chosen) {
		background: transparent;
	}
	.school {
		font-weight: 600;
		font-size: 0.88rem;
	}
	.school .soft {
		font-weight: 400;
	}
	.rate {
		font-size: 1.5rem;
		font-weight: 650;
		line-height: 1.25;
	}
	.none {
		font-size: 1rem;
	}
	.pick {
		margin-top: auto;
		padding-top: 0.3rem;
		display: flex;
		gap: 1rem;
	}
	.cell > button {
		align-self: start;
	}
	.mark {
		color: var(--action);
		font-weight: 650;
	}
	.lapsed,
	.problem {
		color: var(--stop);
	}
	form {
		display: grid;
		gap: 0.6rem;
	}
	@media (max-width: 640px) {
		section {
			grid-template-columns: 1fr;
		}
	}
</style>
