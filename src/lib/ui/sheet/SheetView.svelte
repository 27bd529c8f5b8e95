<!-- A sheet on the screen, in the order in which a grower reads it: what, how much, when, where, why. -->
<script lang="ts">
	import { prescriptionText } from '$core/sheet/sheet-table';
	import { placementText } from '$core/season/plan/placement-text';
	import type { SheetContent } from '$core/schema-types';
	import { quantityIn } from '$core/units/amount-text';
	import { goalText } from '$core/sheet/goal-text';
	import { rateName } from '$core/sheet/rate-name';
	import { inSystem, unitInSystem } from '$core/units/rate-units';
	import { longDate } from '$core/units/day-text';
	import Quantity from '../figure/Quantity.svelte';
	import { sheetWarnings } from '$core/sheet/sheet-warnings';
	import Severity from '../figure/Severity.svelte';

	const { content, number }: { content: SheetContent; number: number | undefined } = $props();

	const warnings = $derived(sheetWarnings(content));
</script>

<article aria-label="Sheet">
	<header>
		<div>
			<h2>{content.field.name}, {content.crop.name.toLowerCase()} {content.year}</h2>
			<p>
				{content.grower}{content.field.areaAcres
					? `, ${quantityIn(content.units, content.field.areaAcres, 'ac')}`
					: ''}. {goalText(content)}.
			</p>
		</div>
		<p class="right">
			{number === undefined ? 'Draft' : `No. ${number}`}<br />
			<span class="soft">{longDate(content.issuedOn)}</span>
		</p>
	</header>

	<h3>What to do</h3>
	<table class="ledger">
		<thead>
			<tr
				><th>When</th><th>What</th><th class="num">Per {content.units === 'us' ? 'acre' : 'hectare'}</th><th>Where</th
				><th>Supplies, {unitInSystem('lb/ac', content.units)}</th><th class="num">Whole field</th></tr
			>
		</thead>
		<tbody>
			{#each content.passes as line (line.pass.id)}
				{@const { pass, productName, rate, carries, wholeField, gallons } = line}
				<tr>
					<td class="nowrap"
						>{longDate(pass.date)}{#if line.stage}<div class="soft">about {line.stage}</div>{/if}</td
					>
					<td
						><strong>{productName}</strong><br />{pass.label}.
						<span class="soft">{pass.reason}</span>{#if line.prescription}<br />By prescription: {prescriptionText(
								line
							)}.{/if}{#if line.palmDose}<br /><strong>{line.palmDose.text}</strong>, in all <Quantity
								answer={line.palmDose.product}
							/>{/if}</td
					>
					<td class="num">
						<Quantity answer={inSystem(rate, content.units)} setting />
						{#each line.bases ?? [] as base, at (at)}<br /><span class="soft"
								><Quantity answer={inSystem(base, content.units)} /></span
							>{/each}
						{#if gallons.applies}<br /><span class="soft"><Quantity answer={inSystem(gallons, content.units)} /></span
							>{/if}
					</td>
					<td>{placementText(pass, content.units)}</td>
					<td>
						{#each carries as { nutrient, pounds } (nutrient)}
							<div class="nowrap">{nutrient} <Quantity answer={inSystem(pounds, content.units)} bare /></div>
						{:else}lime{/each}
					</td>
					<td class="num"><Quantity answer={inSystem(wholeField, content.units)} /></td>
				</tr>
			{/each}
		</tbody>
	</table>
	{#if content.weather}<p class="soft">{content.weather}</p>{/if}

	<div class="two">
		<section>
			<h3>Why these rates</h3>
			{#each content.rates as line, at (at)}
				<p>
					<strong>{rateName(line)} <Quantity answer={inSystem(line.rate, content.units)} /></strong>
					by {line.by}: {line.why}.
				</p>
			{/each}
			{#if content.cost?.applies}<p>Products: <Quantity answer={inSystem(content.cost, content.units)} /></p>{/if}
		</section>
		<section>
			<h3>From this soil test</h3>
			<p class="soft">{content.soil.source}</p>
			<table class="ledger soil">
				<tbody>
					{#each content.soil.values as value, index (index)}
						<tr><td>{value.label}</td><td class="num"><Quantity answer={value} /></td></tr>
					{/each}
				</tbody>
			</table>
		</section>
	</div>

	{#if content.decisions}
		<h3>To be decided in the season</h3>
		<ul>
			{#each content.decisions as decision, at (at)}<li>{decision}</li>{/each}
		</ul>
	{/if}

	{#if content.leafTests}
		<h3>From the leaf tests</h3>
		{#each content.leafTests as { title, findings }, at (at)}
			<p class="soft">{title}</p>
			{#each findings as { severity, text }, at (at)}<p><Severity {severity} /> {text}</p>{/each}
		{/each}
	{/if}

	{#if content.since && content.since.changes.length > 0}
		<h3>Changed since no. {content.since.number}</h3>
		<ul>
			{#each content.since.changes as change, at (at)}<li>{change}</li>{/each}
		</ul>
	{/if}

	<h3>Cautions</h3>
	{#each warnings as { severity, text, reason }, index (index)}
		<p>
			<Severity {severity} />
			{text}
			{#if reason}<strong>Issued all the same, because: {reason}</strong>{/if}
		</p>
	{/each}
	<ul>
		{#each content.cautions as caution, at (at)}<li>{caution}</li>{/each}
	</ul>
	<footer>
		Prepared by {content.preparedBy || '…'} with {content.packs
			.map(({ title, version }) => `${title} ${version}`)
			.join(', ') || 'own rates'}. Void if the data change. The program advises; a licensed adviser answers.
	</footer>
</article>

<style>
	article {
		background: var(--sheet);
		border: 1px solid var(--rule);
		padding: 1.6rem 1.8rem;
		max-width: 64rem;
	}
	header {
		display: flex;
		justify-content: space-between;
		gap: 2rem;
		border-bottom: 2px solid var(--ink);
		margin-bottom: 0.4rem;
	}
	header h2 {
		font-size: 1.35rem;
	}
	.right {
		text-align: right;
		white-space: nowrap;
		font-weight: 600;
	}
	h3 {
		margin-top: 1.2rem;
	}
	.nowrap {
		white-space: nowrap;
	}
	.two {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 2rem;
	}
	.soil td {
		padding-top: 0.15rem;
		padding-bottom: 0.15rem;
	}
	ul {
		list-style: disc;
		padding-left: 1.2rem;
		margin: 0;
	}
	footer {
		margin-top: 1.4rem;
		padding-top: 0.7rem;
		border-top: 1px solid var(--rule-strong);
		font-size: 0.86rem;
		color: var(--ink-soft);
	}
	@media (max-width: 800px) {
		.two {
			grid-template-columns: 1fr;
		}
	}
</style>
