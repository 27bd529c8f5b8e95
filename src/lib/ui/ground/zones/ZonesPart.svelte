<!-- Zones: by hand, from layers, as strips of a grid; their list, and what is known of each. -->
<script lang="ts">
	import { messageOf } from '$core/check/message-of';
	import { Button, Checkbox, Disclosure, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import { onDestroy, untrack } from 'svelte';
	import type { Shape } from '$core/ground/shapes/shape';
	import type { PlacedPoint, Zone } from '$core/schema-types';
	import { quantityIn } from '$core/units/amount-text';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { M2_PER_ACRE } from '$core/units/factors';
	import type { GroundReply } from '../../../../workers/ground-messages';
	import { numberOrUndefined } from '../../forms/numbers';
	import { keptAmount, typedAmount } from '../../forms/typed-amount';
	import CornersForm from '../map/CornersForm.svelte';
	import { pointsOf, type LayerHead } from '../map/layer-points';
	import { GroundRun } from '../map/ground-run.svelte';
	import type { MapMode } from '../map/GroundMap.svelte';
	import { rankNames } from './rank-names';
	import { save } from '../../forms/call';
	import RowMenu from '../../tables/RowMenu.svelte';

	interface Props {
		fieldId: string;
		year: number;
		boundary: Shape | undefined;
		layers: readonly LayerHead[];
		zones: readonly (Zone & { id: string; areaAcres: number })[];
		units: UnitSystem;
		chosen: string | undefined;
		mode: MapMode;
		setMode: (mode: MapMode) => void;
		choose: (name: string) => void;
		edit: (name: string) => void;
	}
	const { fieldId, year, boundary, layers, zones, units, chosen, mode, setMode, choose, edit }: Props = $props();

	let used = $state<Record<string, boolean>>({});
	let count = $state('');
	let cell = $state('10');
	const areaName = $derived(units === 'us' ? 'acres' : 'hectares');
	/** An acre is what a spreader can still treat on its own; common practice. */
	let least = $state(untrack(() => typedAmount(1, 'ac', units)));
	let square = $state(untrack(() => (units === 'us' ? '2.5' : '1')));
	let problem = $state('');
	let proposed = $state.raw<Extract<GroundReply, { kind: 'zones' }> | undefined>();
	let typing = $state<string | undefined>();
	let renaming = $state<{ from: string; to: string } | undefined>();
	const chosenLayers = $derived(layers.filter(({ id }) => used[id]));
	const run = new GroundRun((reply) => {
		if (reply.kind === 'problem') problem = reply.problem;
		if (reply.kind === 'zones') void keepProposed(reply);
		if (reply.kind === 'grid') void keepSquares(reply.squares);
	});
	onDestroy(() => run.stop());

	async function propose(): Promise<void> {
		const cellM = numberOrUndefined(cell);
		const leastAcres = keptAmount(least, 1, 'ac', units);
		if (cellM === undefined || cellM < 2 || cellM > 200)
			return void (problem = `The cell “${cell}” must be a number of metres from 2 to 200.`);
		if (leastAcres === undefined || leastAcres < 0)
			return void (problem = `The smallest patch “${least}” must be ${areaName} from 0.`);
		if (!boundary) return;
		problem = '';
		proposed = undefined;
		let known: PlacedPoint[][];
		try {
			known = await Promise.all(chosenLayers.map(({ id }) => pointsOf(fieldId, id)));
		} catch (error) {
			problem = messageOf(error);
			return;
		}
		run.ask({
			kind: 'zones',
			boundary: $state.snapshot(boundary) as Shape,
			cellM,
			leastAcres,
			zones: count === '' ? undefined : Number(count),
			layers: known
		});
	}

	async function keepProposed(reply: Extract<GroundReply, { kind: 'zones' }>): Promise<void> {
		const names = rankNames(reply.shapes.length);
		const from = chosenLayers.map(({ name }) => name).join(', ');
		const made = reply.shapes.map((shape, at) => ({ name: names[at]!, shape, facts: {} }));
		await replace(made, from);
		proposed = reply;
	}

	function makeGrid(): void {
		const acres = keptAmount(square, undefined, 'ac', units);
		if (acres === undefined || acres < 0.1 || acres > 100)
			return void (problem = `The square “${square}” must be ${areaName} from ${quantityIn(units, 0.1, 'ac')} to ${quantityIn(units, 100, 'ac')}.`);
		if (!boundary) return;
		problem = '';
		run.ask({ kind: 'grid', boundary: $state.snapshot(boundary) as Shape, cellM: Math.sqrt(acres * M2_PER_ACRE) });
	}

	async function keepSquares(squares: { name: string; shape: Shape }[]): Promise<void> {
		const made = squares.map((one) => ({ ...one, facts: {} }));
		await replace(made, `a grid of ${square} ${unitInSystem('ac', units)}`);
	}

	/** Puts zones in place of those that are shown. */
	/** Whether the corners of a zone are being moved on the map. */
	const mended = (name: string) => mode === 'mend zone' && chosen === name;

	function mend(name: string): void {
		const stop = mended(name);
		if (chosen !== name) choose(name);
		setMode(stop ? 'look' : 'mend zone');
	}

	async function replace(list: readonly Zone[], from?: string): Promise<void> {
		problem = await save(
			'PUT /api/fields/{field}/zones',
			{ field: fieldId },
			{
				zones: list.map(({ name, shape, facts }) => ({ name, shape, facts })),
				year,
				...(from ? { from } : {}),
				seen: zones.map(({ id, facts }) => ({ id, facts }))
			}
		);
	}

	async function keepCorners(name: string, to: Shape): Promise<string | undefined> {
		const list = zones.map((zone) => (zone.name === name ? { ...zone, shape: to } : zone));
		await replace(list);
		if (!problem) typing = undefined;
		return problem;
	}

	async function rename(): Promise<void> {
		if (!renaming) return;
		const { from, to } = renaming;
		if (to.trim() === '') return void (problem = 'A zone needs a name.');
		await replace(zones.map((zone) => (zone.name === from ? { ...zone, name: to.trim() } : zone)));
		if (!problem) renaming = undefined;
	}
</script>

<section aria-label="Zones">
	<h2>Zones</h2>
	{#if zones.length === 0}
		<p class="soft">None: the field is rated as one. Draw zones, take them from a file, or make them from a layer.</p>
	{:else}
		<ul>
			{#each zones as { name, areaAcres, shape }, at (at)}
				<li class:chosen={name === chosen}>
					{#if renaming?.from === name}
						<TextInput size="sm" labelText="Name of the zone" bind:value={renaming.to} />
						<Button size="small" onclick={rename}>Save the name</Button>
					{:else}
						<button type="button" class="plain" onclick={() => choose(name)}><strong>{name}</strong></button>
						<span class="soft">{quantityIn(units, areaAcres, 'ac')}</span>
						<RowMenu
							label={`What to do with ${name}`}
							acts={[
								{ text: 'What is known', act: () => edit(name) },
								{ text: mended(name) ? 'Stop editing' : 'Edit', act: () => mend(name) },
								{ text: 'Corners', act: () => (typing = typing === name ? undefined : name) },
								{ text: 'Rename', act: () => (renaming = { from: name, to: name }) },
								{ text: 'Delete', act: () => void replace(zones.filter((zone) => zone.name !== name)) }
							]}
						/>
					{/if}
					{#if typing === name}
						<CornersForm {shape} keep={(to) => keepCorners(name, to)} />
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
	{#if boundary}
		<Button
			size="small"
			kind={mode === 'cut' ? 'primary' : 'tertiary'}
			onclick={() => setMode(mode === 'cut' ? 'look' : 'cut')}
		>
			{mode === 'cut' ? 'Leave off drawing zones' : 'Draw a zone'}
		</Button>
		{#if mode === 'cut'}<p class="soft small">
				Draw over the boundary: the zone is cut by it, and by the zones that are there.
			</p>{/if}
	{/if}
	{#if layers.length > 0 && boundary}
		<Disclosure align="start" open={zones.length === 0} summary="Make zones from layers">
			<div class="layers">
				{#each layers as { id, name } (id)}<Checkbox labelText={name} bind:checked={used[id]} />{/each}
			</div>
			<div class="fields">
				<Select size="sm" labelText="How many" bind:selected={count}>
					<SelectItem value="" text="by variance" />
					{#each [2, 3, 4, 5, 6, 7, 8] as many (many)}<SelectItem value={String(many)} text={String(many)} />{/each}
				</Select>
				<TextInput size="sm" labelText="Cells of, m" bind:value={cell} />
				<TextInput size="sm" labelText={`Smallest patch, ${areaName}`} bind:value={least} />
			</div>
			{#if run.busy}
				<span role="status">Grouping…</span>
				<Button size="small" kind="ghost" onclick={() => run.stop()}>Leave off</Button>
			{:else}
				<Button size="small" disabled={chosenLayers.length === 0} onclick={propose}>Make the zones</Button>
			{/if}
			{#if zones.length > 0}<p class="soft small">
					They take the place of the zones that are there; one undo brings these back.
				</p>{/if}
		</Disclosure>
	{/if}
	{#if boundary}
		<Disclosure align="start" summary="Make a grid of squares">
			<div class="fields">
				<TextInput size="sm" labelText={`Squares of, ${areaName}`} bind:value={square} />
			</div>
			<Button size="small" disabled={run.busy} onclick={makeGrid}>Make the grid</Button>
		</Disclosure>
	{/if}
	{#if proposed}
		<p role="status">
			Variance left inside: {proposed.counts
				.map(({ zones: many, withinShare }) => `${many === 1 ? '1 zone' : many} ${Math.round(100 * withinShare)} %`)
				.join(', ')}. Worth having by that: {proposed.suggested}.
		</p>
	{/if}
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
</section>

<style>
	ul {
		list-style: none;
		margin: 0.3rem 0 0.8rem;
		padding: 0;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 0.8rem;
		align-items: baseline;
		padding: 0.25rem 0.4rem;
		border-bottom: 1px solid var(--rule);
	}
	.chosen {
		background: var(--accent-wash);
	}
	.layers {
		margin: 0.3rem 0;
	}
	.fields {
		display: grid;
		grid-template-columns: repeat(3, 1fr);
		gap: 0.6rem 1rem;
		margin-bottom: 0.6rem;
	}
</style>
