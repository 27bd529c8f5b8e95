<!-- What a curve is called and speaks for: rotation, soils, source. -->
<script lang="ts">
	import { MultiSelect, TextInput } from 'carbon-components-svelte';
	import { TEXTURE_CLASSES } from '$core/ground/texture-classes';
	import { PREVIOUS_CROPS } from '../../forms/choices';
	import type { CurveGroundFields } from './curve-ground';
	import { cropWords } from './curve-text';

	let { fields = $bindable() }: { fields: CurveGroundFields } = $props();
</script>

<div class="fields ground">
	<TextInput size="sm" labelText="Title" placeholder="Corn after soybean, silt loam" bind:value={fields.title} />
	<MultiSelect
		size="sm"
		labelText="After which crops"
		label={fields.previousCrops.length === 0 ? 'any crop' : ''}
		items={PREVIOUS_CROPS.map((id) => ({ id, text: cropWords(id) }))}
		bind:selectedIds={fields.previousCrops}
	/>
	<MultiSelect
		size="sm"
		labelText="On which soils"
		label={fields.textureClasses.length === 0 ? 'any soil' : ''}
		items={TEXTURE_CLASSES.map((id) => ({ id, text: id }))}
		bind:selectedIds={fields.textureClasses}
	/>
	<TextInput
		size="sm"
		labelText="Where it comes from"
		placeholder="Own strips at …, 2024 to 2026"
		bind:value={fields.source}
	/>
</div>

<style>
	.ground {
		grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
	}
</style>
