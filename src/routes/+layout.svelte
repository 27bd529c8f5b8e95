<script lang="ts">
	import ChevronLeft from 'carbon-icons-svelte/lib/ChevronLeft.svelte';
	import ChevronRight from 'carbon-icons-svelte/lib/ChevronRight.svelte';
	import Mark from '$lib/ui/figure/Mark.svelte';
	import '$lib/ui/look/letters/letters.css';
	import 'carbon-components-svelte/css/all.css';
	import '../app.css';
	import '$lib/ui/tables/list-table.css';
	import { MenuButton, MenuItem } from 'carbon-components-svelte';
	import { MediaQuery } from 'svelte/reactivity';
	import { goto, beforeNavigate } from '$app/navigation';
	import { page } from '$app/state';
	import { onMount, type Snippet } from 'svelte';
	import FieldFinder from '$lib/ui/frame/FieldFinder.svelte';
	import Later from '$lib/ui/frame/Later.svelte';
	import { worksheet } from '$lib/ui/figure/worksheet.svelte';
	import { WORDS } from '$lib/ui/frame/words';
	import { unitInSystem, type UnitSystem } from '$core/units/rate-units';
	import { save } from '$lib/ui/forms/call';
	import { conflict } from '$lib/ui/forms/conflict.svelte';
	import { filesRead } from '$lib/ui/forms/files/files-read.svelte';
	import type { GrowerAction } from '$core/schema-types';
	import type { LayoutData } from './$types';

	const { data, children }: { data: LayoutData; children: Snippet } = $props();

	/** Pages of the whole book that stand in the bar where there is room, else in its menu. */
	const OFTEN = [
		{ href: '/import', name: 'Import a lab file' },
		{ href: '/guides', name: 'Guides' },
		{ href: '/curves', name: 'Curves' },
		{ href: '/orders', name: 'Orders' }
	];

	const SELDOM = [
		{ href: '/work', name: 'Many fields at once' },
		{ href: '/sampling', name: 'Sampling plan' },
		{ href: '/programmes', name: 'House programmes' },
		{ href: '/years', name: 'Over the years' },
		{ href: '/map', name: 'Map of all fields' },
		{ href: '/prices', name: 'Prices' },
		{ href: '/products', name: 'Products' },
		{ href: '/calibration', name: 'Calibration' },
		{ href: '/palm-nursery', name: 'Palm nursery' },
		{ href: '/trials', name: 'Trials' },
		{ href: '/water', name: 'Irrigation water' },
		{ href: '/leaf-ranges', name: 'Leaf ranges' },
		{ href: '/weather', name: 'Weather' },
		{ href: '/house-rules', name: 'My rules' },
		{ href: '/copies', name: 'Backups and exports' }
	];
	const phone = new MediaQuery('(max-width: 700px)');

	let finder = $state<FieldFinder>();
	let keysOpen = $state(false);
	let message = $state('');

	const field = $derived(page.params.field);
	const year = $derived(Number(page.params.year ?? data.planningYear));
	/** Those of the grower on a field's pages, else of the book. */
	const units = $derived((page.data.units as UnitSystem | undefined) ?? data.settings.units);
	const title = $derived(page.data.title as string | undefined);
	const findings = $derived((page.data.openCautions as number | undefined) ?? 0);

	beforeNavigate(() => worksheet.close());
	onMount(() => (document.body.dataset.ready = ''));

	async function undo(): Promise<void> {
		if (!data.undoable) return;
		const { id, label } = data.undoable;
		message = (await save('POST /api/undo', {}, { event: id })) || `Undone: ${label}`;
	}

	async function switchUnits(): Promise<void> {
		const other = units === 'us' ? 'metric' : 'us';
		message =
			field && (page.data.grower as GrowerAction | undefined)?.units
				? await save(
						'PUT /api/fields/{field}/grower',
						{ field },
						{ ...(page.data.grower as GrowerAction), units: other }
					)
				: await save('PATCH /api/settings', {}, { units: other });
	}

	function openYear(to: number): void {
		const word = page.url.pathname.split('/')[4] ?? 'ground';
		if (field) void goto(`/field/${field}/${to}/${word}`);
	}

	function onkeydown(event: KeyboardEvent): void {
		const target = event.target as HTMLElement;
		// A dialog that has just closed may still hold the focus; only an open one keeps the keys to itself.
		if (target.closest('input, textarea, select') || document.querySelector('.bx--modal.is-visible')) return;
		if ((event.ctrlKey || event.metaKey) && event.key === 'z') {
			event.preventDefault();
			void undo();
		}
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if (event.key === '/') {
			event.preventDefault();
			finder?.focus();
		} else if (event.key === '?') {
			keysOpen = true;
		} else if (event.key === '0') {
			void goto('/');
		} else if (field && event.key >= '1' && event.key <= String(WORDS.length)) {
			void goto(`/field/${field}/${year}/${WORDS[Number(event.key) - 1]!.path}`);
		}
	}
</script>

<svelte:head><title>{title ? `${title} · Cosecha` : 'Cosecha'}</title></svelte:head>
<svelte:window {onkeydown} />

<a class="skip" href="#main">To the page</a>
<header class="top no-print">
	<a class="brand" href="/">Cosecha</a>
	<FieldFinder bind:this={finder} {year} current={page.data.fieldTitle as string | undefined} />
	{#if field}
		<div class="year">
			<button type="button" class="plain" aria-label={`Year ${year - 1}`} onclick={() => openYear(year - 1)}
				><ChevronLeft /></button
			>
			<span>{year}</span>
			<button type="button" class="plain" aria-label={`Year ${year + 1}`} onclick={() => openYear(year + 1)}
				><ChevronRight /></button
			>
		</div>
	{/if}
	{#each OFTEN as { href, name } (href)}<a class="wide" {href}>{name}</a>{/each}
	<div class="more">
		<MenuButton
			size="sm"
			kind="ghost"
			labelText={phone.current ? 'Menu' : 'More'}
			intrinsicAlign={phone.current ? 'end' : 'start'}
		>
			{#each phone.current ? [...OFTEN, ...SELDOM] : SELDOM as { href, name } (href)}
				<MenuItem labelText={name} on:click={() => void goto(href)} />
			{/each}
		</MenuButton>
	</div>
	<div class="right">
		{#if message}<span class="soft small" role="status">{message}</span>{/if}
		{#if data.undoable}
			<button type="button" class="plain undo" title={`Undo: ${data.undoable.label} (Ctrl+Z)`} onclick={undo}
				>Undo: {data.undoable.label}</button
			>
		{/if}
		<button type="button" class="plain" onclick={switchUnits} aria-label="Switch units">
			{unitInSystem('lb/ac', units)}
		</button>
		{#if field && findings > 0}
			<a class="cautions" href={`/field/${field}/${year}/${page.data.cautionsAt as string}`}><Mark /> {findings} open</a
			>
		{/if}
		<button type="button" class="plain" aria-label="Keys" onclick={() => (keysOpen = true)}>?</button>
	</div>
</header>

<div id="main" class:beside={worksheet.answer !== undefined}>
	{@render children()}
</div>
<!-- Nothing of these is drawn by the server, so their styles are not sent with the page either. -->
{#if !import.meta.env.SSR}
	<Later wanted={worksheet.answer !== undefined} load={() => import('$lib/ui/figure/Worksheet.svelte')} props={{}} />
	<Later
		wanted={keysOpen}
		load={() => import('$lib/ui/frame/KeysHelp.svelte')}
		props={{ open: keysOpen, close: () => (keysOpen = false) }}
	/>
	<Later wanted={conflict.asked !== undefined} load={() => import('$lib/ui/frame/ConflictDialog.svelte')} props={{}} />
	<Later wanted={filesRead.now.length > 0} load={() => import('$lib/ui/frame/FilesRead.svelte')} props={{}} />
{/if}

<style>
	.top {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem 1.25rem;
		padding: 0.5rem 1.5rem;
		border-bottom: 1px solid var(--rule);
		background: var(--paper);
	}
	.brand {
		font-weight: 700;
		font-size: 1.1rem;
		text-decoration: none;
	}
	.year {
		display: flex;
		align-items: center;
		gap: 0.5rem;
		font-weight: 600;
	}
	.year button {
		text-decoration: none;
		font-size: 1.1rem;
		padding: 0 0.25rem;
	}
	.right {
		min-width: 0;
		margin-left: auto;
		display: flex;
		gap: 1.1rem;
		align-items: center;
	}
	.undo,
	.right [role='status'] {
		min-width: 0;
		max-width: min(22rem, 60vw);
		overflow: hidden;
		text-overflow: ellipsis;
		white-space: nowrap;
	}
	.cautions {
		white-space: nowrap;
		border: 1px solid var(--accent);
		color: var(--accent-ink);
		padding: 0 0.45rem;
		font-weight: 600;
		font-size: 0.88rem;
		text-decoration: none;
	}
	.skip {
		position: absolute;
		left: -999px;
	}
	.skip:focus {
		left: 1rem;
		top: 0.5rem;
		background: var(--sheet);
		padding: 0.4rem 0.8rem;
		z-index: 60;
	}
	/* On a phone: name, field and menu in one bar; the year and what is open in a thin line under it. */
	@media (max-width: 700px) {
		.wide {
			display: none;
		}
		.top {
			display: grid;
			grid-template-columns: auto minmax(0, 1fr) auto;
			gap: 0.4rem 0.8rem;
			padding: 0.4rem 1rem;
		}
		.more {
			grid-column: 3;
			grid-row: 1;
		}
		.year {
			grid-column: 1;
			grid-row: 2;
		}
		.right {
			grid-column: 2 / -1;
			grid-row: 2;
			justify-content: flex-end;
			gap: 0.3rem 0.9rem;
			/* Beside the year. */
			max-width: calc(100vw - 9rem);
		}
	}
	/* One bar: what can be undone takes the room that is left. */
	@media (min-width: 1100px) {
		.top {
			flex-wrap: nowrap;
			position: sticky;
			top: 0;
			z-index: 45;
		}
		.top > :not(.right),
		.right > :not(.undo, [role='status']) {
			flex: none;
		}
		.beside {
			padding-right: 400px;
		}
	}
</style>
