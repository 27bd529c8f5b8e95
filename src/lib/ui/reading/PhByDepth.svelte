<!-- pH layer by layer, and the acid band that a surface sample hides. -->
<script lang="ts">
	import Mark from '../figure/Mark.svelte';
	import { formatNumber } from '$core/units/display';
	import { CM_PER_IN } from '$core/units/factors';
	import type { ReadingPage } from '$lib/server/pages/reading-page';
	import Chart from '../charts/Chart.svelte';
	import { profileChart } from '../charts/profile';

	interface Props {
		profile: NonNullable<ReadingPage['reading']>['profile'];
		inCm: boolean;
	}
	const { profile, inCm }: Props = $props();
</script>

<section class="section columns">
	<div>
		<h2>pH by depth</h2>
		<Chart
			label={`pH in ${profile.scaleName} by depth: ${profile.layers.map(({ ph, depthText }) => `${formatNumber(ph, 'pH')} at ${depthText}`).join(', ')}`}
			option={profileChart({
				layers: profile.layers,
				lines: profile.lines,
				scaleName: profile.scaleName,
				unit: inCm ? 'cm' : 'in',
				perInch: inCm ? CM_PER_IN : 1
			})}
			height="300px"
		/>
	</div>
	<div class="beside-chart">
		{#if profile.hidden.length > 0}
			<p class="band">
				<Mark /> An acid band lies hidden under the surface: {profile.hidden
					.map(({ ph, depthText }) => `${formatNumber(ph, 'pH')} at ${depthText}`)
					.join(', ')}.
			</p>
			<p>A sample of the surface alone ({formatNumber(profile.layers[0]!.ph, 'pH')}) does not show it.</p>
		{:else}
			<p>No acid band lies under the surface.</p>
		{/if}
		<p class="soft">
			On the {profile.scaleName} scale, aluminium is likely below {profile.lines.aluminium}, and ground is limed below {profile
				.lines.acid} (common practice). Lime is summed layer by layer.
		</p>
	</div>
</section>

<style>
	.band {
		color: var(--accent-ink);
		font-weight: 600;
	}
</style>
