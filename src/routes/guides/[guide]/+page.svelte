<script lang="ts">
	import { Button, InlineNotification, TextArea, TextInput } from 'carbon-components-svelte';
	import { onMount, untrack } from 'svelte';
	import { beforeNavigate, goto } from '$app/navigation';
	import type { PackDocument, Rule } from '$core/schema-types';
	import { longDate } from '$core/units/day-text';
	import ListTable from '$lib/ui/tables/ListTable.svelte';
	import { nextVersion } from '$lib/ui/rates/guide/leaves';
	import RuleEditor from '$lib/ui/rates/guide/RuleEditor.svelte';
	import { sendGuide } from '$lib/ui/rates/guide/send-guide';
	import { GuideTrial } from '$lib/ui/rates/guide/trial.svelte';
	import TrialPanel from '$lib/ui/rates/guide/TrialPanel.svelte';
	import { remove } from '$lib/ui/forms/call';
	import type { PageData } from './$types';

	const { data }: { data: PageData } = $props();
	type Removal = PageData['removal'][number];

	/** After the last key a text waits so long before it is tried. */
	const PAUSE_MS = 300;
	const REMOVED = ['N', 'P2O5', 'K2O', 'S'] as const;
	const HEAD = [
		{ key: 'title', label: 'Title' },
		{ key: 'id', label: 'Name in choices (id)' },
		{ key: 'version', label: 'Version' },
		{ key: 'edition', label: 'Edition' }
	] as const;
	const asText = (document: PackDocument) => `${JSON.stringify(document, null, '\t')}\n`;
	const draftKey = $derived(`guide draft ${data.guide.id}`);

	let text = $state('');
	let editing = $state(false);
	let byText = $state(false);
	let problem = $state('');
	let found = $state('');
	let trial = $state.raw<GuideTrial>();

	/** The text as a document; undefined while it is no JSON. */
	const document = $derived.by(() => {
		try {
			return JSON.parse(text) as PackDocument;
		} catch {
			return undefined;
		}
	});

	onMount(() => {
		found = localStorage.getItem(draftKey) ?? '';
		return () => trial?.stop();
	});

	/** A copy has a name of its own; one's own guide goes on as its next version. */
	function startText(): string {
		const { guide, own } = data;
		if (own) return asText({ ...guide, version: nextVersion(guide.version) });
		return asText({ ...guide, id: `my-${guide.id}`.slice(0, 60), title: `My ${guide.title}`, version: '1.0.0' });
	}

	function edit(from: string): void {
		text = from;
		found = '';
		editing = true;
		trial = new GuideTrial();
		void trial.start().then(() => trial?.try(untrack(() => text)));
	}

	$effect(() => {
		const current = text;
		const running = trial;
		if (!running || !editing) return;
		localStorage.setItem(
			untrack(() => draftKey),
			current
		);
		const timer = setTimeout(() => running.try(current), PAUSE_MS);
		return () => clearTimeout(timer);
	});

	function change(next: PackDocument): void {
		text = asText(next);
	}

	function changeRule(index: number, rule: Rule): void {
		if (!document) return;
		change({ ...document, rules: document.rules.map((one, at) => (at === index ? rule : one)) });
	}

	async function save(): Promise<void> {
		const outcome = await sendGuide(text);
		problem = outcome.id
			? ''
			: outcome.problems.length > 0
				? 'It is not saved: see what is wrong at the right.'
				: outcome.message;
		if (!outcome.id) return;
		leave();
		await goto(`/guides/${outcome.id}`);
	}

	function leave(): void {
		localStorage.removeItem(draftKey);
		editing = false;
		trial?.stop();
		trial = undefined;
	}

	async function removeGuide(): Promise<void> {
		problem = await remove('DELETE /api/guides/{guide}', { guide: data.guide.id });
		if (problem === '') await goto('/guides');
	}

	beforeNavigate(({ to }) => {
		if (to?.params?.guide !== data.guide.id) {
			editing = false;
			trial?.stop();
			trial = undefined;
		}
	});
</script>

{#snippet cropCell({ name, per }: Removal)}{name} <span class="soft">per {per}</span>{/snippet}

<div class="page">
	<p><a href="/guides">All guides</a></p>
	<h1>{editing && document ? document.title : data.guide.title}</h1>
	{#if !editing}
		<p class="soft">
			{data.guide.edition}. {data.guide.region}. Version {data.guide.version}{data.own
				? ', your own'
				: ', comes with the program'}.
		</p>
		{#if found}
			<p class="found">
				You were changing this and did not save it.
				<button type="button" class="plain" onclick={() => edit(found)}>Go on with it</button>
				<button type="button" class="plain" onclick={() => ((found = ''), localStorage.removeItem(draftKey))}
					>Forget it</button
				>
			</p>
		{/if}
		<div class="row">
			<Button size="small" onclick={() => edit(startText())}>{data.own ? 'Change it' : 'Copy it to change'}</Button>
			<Button size="small" kind="tertiary" href={`/guides/${data.guide.id}/file`}>Save as file</Button>
			{#if data.own}<Button size="small" kind="ghost" onclick={removeGuide}>Remove it</Button>{/if}
		</div>
		{#if problem}<InlineNotification kind="error" lowContrast hideCloseButton title="" subtitle={problem} />{/if}
		{#if data.removal.length > 0}
			<section class="section" aria-label="Removal side by side">
				<h2>What each crop takes off, side by side</h2>
				<div class="removal">
					<ListTable
						label="Removal"
						rows={data.removal}
						key={({ crop }) => crop}
						columns={[
							{ name: 'Crop, by its unit of yield', of: ({ name }) => name, cell: cropCell },
							...REMOVED.map((nutrient) => ({
								name: `${nutrient}, lb`,
								of: (taken: Removal) => {
									const amount = taken[nutrient];
									return amount === undefined ? 'not listed' : +amount.toPrecision(3);
								},
								number: true
							}))
						]}
					/>
				</div>
				<p class="soft small">
					Grain or hay alone, from memory of the tables named below; nitrogen as content of the harvest.
				</p>
			</section>
		{/if}
		{#each data.guide.rules as rule (rule.id)}
			<section class="section">
				<h2>{rule.title}</h2>
				<p class="soft small">
					{rule.gives}, {rule.unit}; {rule.kind.replaceAll('-', ' ')}. {rule.citation ??
						'Common practice'}{rule.basis === 'memory' ? ', written from memory' : ''}.
				</p>
				<ul class="small">
					{#each rule.examples as { crop, inputs, gives, source }, index (index)}
						<li>
							{crop ? `${crop.replace('-', ' ')}: ` : ''}{Object.entries(inputs)
								.map(([name, value]) => `${name.replace(/([A-Z])/g, ' $1').toLowerCase()} ${value}`)
								.join(', ')} gives {gives} <span class="soft">({source})</span>
						</li>
					{/each}
				</ul>
			</section>
		{/each}
		{#if data.versions.length > 0}
			<section class="section">
				<h2>Versions</h2>
				<ul>
					{#each data.versions as { version, savedAt } (version)}
						<li>
							<a href={`/guides/${data.guide.id}/file?version=${version}`}>{version}</a>
							<span class="soft">saved {longDate(savedAt.slice(0, 10))}</span>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
	{:else if trial}
		<div class="row bar">
			<Button size="small" disabled={trial.problems.length > 0 || !trial.checked} onclick={save}>Save the guide</Button>
			<Button size="small" kind="ghost" onclick={leave}>Leave it as it was</Button>
			<button type="button" class="plain" onclick={() => (byText = !byText)}>{byText ? 'As a form' : 'As text'}</button>
			{#if problem}<span class="problem" role="alert">{problem}</span>{/if}
		</div>
		<div class="split">
			<div>
				{#if byText || !document}
					<TextArea labelText="The guide as text (JSON)" rows={34} bind:value={text} class="mono" spellcheck="false" />
				{:else}
					<div class="fields">
						{#each HEAD as { key, label } (key)}
							<TextInput
								size="sm"
								labelText={label}
								value={document[key]}
								on:input={({ detail }) => change({ ...document, [key]: String(detail ?? '') })}
							/>
						{/each}
					</div>
					{#each document.rules as rule, index (index)}
						<RuleEditor
							{rule}
							crops={data.crops}
							outcomes={trial.examples}
							change={(next) => changeRule(index, next)}
						/>
					{/each}
				{/if}
			</div>
			<aside><TrialPanel {trial} units={data.settings.units} /></aside>
		</div>
	{/if}
</div>

<style>
	.removal {
		max-width: 44rem;
	}
	.bar {
		align-items: center;
		gap: 1rem;
		position: sticky;
		top: 0;
		background: var(--paper);
		padding: 0.5rem 0;
		z-index: 20;
		border-bottom: 1px solid var(--rule);
	}
	.split > * {
		min-width: 0;
	}
	.split {
		display: grid;
		grid-template-columns: minmax(0, 1.5fr) minmax(20rem, 1fr);
		gap: 2rem;
		align-items: start;
		margin-top: 0.8rem;
	}
	aside {
		position: sticky;
		top: 6.8rem;
		max-height: calc(100vh - 7.5rem);
		overflow: auto;
	}
	.found {
		border: 1px solid var(--accent);
		padding: 0.5rem 0.8rem;
		display: flex;
		flex-wrap: wrap;
		gap: 1rem;
	}
	.split :global(textarea) {
		font-family: ui-monospace, monospace;
		font-size: 0.84rem;
		tab-size: 2;
	}
	@media (min-width: 1100px) {
		.bar {
			top: 3.2rem;
		}
	}
	@media (max-width: 900px) {
		.split {
			grid-template-columns: minmax(0, 1fr);
		}
		aside {
			position: static;
			max-height: none;
		}
	}
</style>
