<!-- What the plan decides later, plans kept beside it, and all of them over simulated seasons. -->
<script lang="ts">
	import { Button, TextInput } from 'carbon-components-svelte';
	import type { SeasonPage } from '$lib/server/pages/season-page';
	import type { UnitSystem } from '$core/units/rate-units';
	import { remove, save, type YearAddress } from '../../forms/call';
	import StressPanel from '../StressPanel.svelte';
	import DecisionsPart from './DecisionsPart.svelte';

	interface Props {
		address: YearAddress;
		season: NonNullable<SeasonPage['season']>;
		catalogue: SeasonPage['catalogue'];
		units: UnitSystem;
	}
	const { address, season, catalogue, units }: Props = $props();

	let name = $state('');
	let problem = $state('');

	async function keep(event: SubmitEvent): Promise<void> {
		event.preventDefault();
		if (name.trim() === '') return void (problem = 'Give the plan a name to save it under.');
		problem = await save('POST /api/fields/{field}/{year}/kept-plans', address, { name });
		if (!problem) name = '';
	}

	async function use(id: string): Promise<void> {
		problem = await save('POST /api/fields/{field}/{year}/kept-plans/{keptPlan}/use', { ...address, keptPlan: id }, {});
	}

	async function drop(id: string): Promise<void> {
		problem = await remove('DELETE /api/fields/{field}/{year}/kept-plans/{keptPlan}', { ...address, keptPlan: id });
	}

	const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;
</script>

<DecisionsPart {address} decisions={season.decisions} {catalogue} {units} plantingDate={season.plantingDate} />
{#if season.hasStress}
	<section class="section" aria-label="Plans saved beside this one">
		<h2>Plans saved beside this one</h2>
		<p class="soft small">
			Save the plan as it stands, change it, and lay both side by side over the simulated seasons below. The better one
			goes back into use; what was applied stays.
		</p>
		{#if season.keptPlans.length > 0}
			<ul>
				{#each season.keptPlans as plan (plan.id)}
					<li>
						<strong>{plan.name}</strong>: {counted(plan.passes, 'pass', 'passes')}{plan.decisions > 0
							? `, ${counted(plan.decisions, 'decision', 'decisions')}`
							: ''}
						<Button size="small" kind="ghost" onclick={() => void use(plan.id)}>Put {plan.name} into use</Button>
						<Button size="small" kind="ghost" onclick={() => void drop(plan.id)}>Delete {plan.name}</Button>
					</li>
				{/each}
			</ul>
		{/if}
		<form class="row" onsubmit={keep}>
			<TextInput size="sm" labelText="Save this plan as" maxlength={80} placeholder="All in spring" bind:value={name} />
			<Button size="small" kind="tertiary" type="submit">Save it</Button>
		</form>
		{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	</section>
	<StressPanel {address} {units} />
{/if}

<style>
	form {
		align-items: end;
		max-width: 28rem;
	}
	ul {
		list-style: none;
		padding: 0;
	}
</style>
