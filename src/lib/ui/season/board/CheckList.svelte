<!-- What the rules have against a plan, each with its remedies as buttons that do it. -->
<script lang="ts">
	import { Button } from 'carbon-components-svelte';
	import type { PassCheck, Remedy } from '$core/schema-types';
	import Severity from '../../figure/Severity.svelte';

	interface Props {
		checks: readonly PassCheck[];
		/** The name of a pass, where it has to be said. */
		nameOf?: (pass: string) => string | undefined;
		choose?: (pass: string) => void;
		apply: (remedy: Remedy, pass: string | undefined) => void;
	}
	const { checks, nameOf, choose, apply }: Props = $props();

	const BASIS: Partial<Record<PassCheck['basis'], string>> = {
		practice: 'Common practice.',
		memory: 'Published; the numbers from memory.'
	};
</script>

{#each checks as check, index (index)}
	{@const name = check.pass === undefined ? undefined : nameOf?.(check.pass)}
	<div class="check">
		<Severity severity={check.severity} />
		<div>
			{#if name}<button type="button" class="plain" onclick={() => choose?.(check.pass!)}>{name}</button>:{/if}
			{check.text}
			<span class="soft small">{BASIS[check.basis] ?? ''}</span>
			{#if check.remedies.length > 0}
				<div class="row remedies">
					{#each check.remedies as remedy, at (at)}
						<Button size="small" kind="tertiary" onclick={() => apply(remedy, check.pass)}>{remedy.label}</Button>
					{/each}
				</div>
			{/if}
		</div>
	</div>
{/each}

<style>
	.check {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr);
		gap: 0.4rem;
		padding: 0.45rem 0;
		border-bottom: 1px solid var(--rule);
		font-size: 0.92rem;
	}
	.remedies {
		margin-top: 0.4rem;
		gap: 0.4rem;
	}
	.remedies :global(.bx--btn) {
		max-width: 100%;
		padding-right: 1rem;
	}
</style>
