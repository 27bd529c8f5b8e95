<!-- A daily weather file of a station, taken in whole or not at all. -->
<script lang="ts">
	import { WeatherFileBounds } from '$core/schema-types/bounds';
	import { textOfFile } from '../../forms/files/text-of-file';
	import { Button, Select, SelectItem, TextInput } from 'carbon-components-svelte';
	import FileButton from '../../forms/FileButton.svelte';
	import { untrack } from 'svelte';
	import type { WeatherFile } from '$core/schema-types';
	import type { UnitSystem } from '$core/units/rate-units';
	import { numberOrUndefined } from '../../forms/numbers';
	import { call } from '../../forms/call';

	const { units }: { units: UnitSystem } = $props();

	let name = $state('');
	let latitude = $state('41');
	let fileUnits = $state<string>(untrack(() => units));
	let file = $state<File | undefined>();
	let problem = $state('');
	let notice = $state('');
	let busy = $state(false);

	async function take(): Promise<void> {
		notice = '';
		const at = numberOrUndefined(latitude);
		if (name.trim() === '') return void (problem = 'Give the station a name.');
		if (at === undefined || Math.abs(at) > 66)
			return void (problem = `The latitude “${latitude}” must be a number from -66 to 66.`);
		if (!file) return void (problem = 'Choose a file with a line for each day.');
		const found = await textOfFile(file, WeatherFileBounds.csv);
		if (typeof found === 'string') return void (problem = found);
		busy = true;
		const body: WeatherFile = {
			name: name.trim(),
			latitude: at,
			units: fileUnits === 'metric' ? 'metric' : 'us',
			csv: found.text
		};
		const { answer, problem: failed } = await call('POST /api/weather', {}, body);
		busy = false;
		problem = failed ?? '';
		if (answer)
			notice = `${answer.added} days imported, ${answer.replaced} replaced. ${body.name} is in use now.${found.note}`;
	}
</script>

<section class="section" aria-label="Weather file">
	<h2>Import a daily weather file</h2>
	<p class="soft">
		A CSV file with a heading and a line a day: date (2027-05-01), lowest and highest temperature, rain. Days of a
		station that is known already are added to it.
	</p>
	<div class="fields">
		<TextInput size="sm" labelText="Station" bind:value={name} />
		<TextInput size="sm" labelText="Latitude" inputmode="decimal" bind:value={latitude} />
		<Select size="sm" labelText="The file is in" bind:selected={fileUnits}>
			<SelectItem value="us" text="F and inches" />
			<SelectItem value="metric" text="C and mm" />
		</Select>
		<div class="file">
			<span class="bx--label">File</span>
			<FileButton
				label={file ? file.name : 'Choose the file'}
				accept={['.csv', '.txt', 'text/csv']}
				take={(picked) => (file = picked)}
			/>
		</div>
	</div>
	{#if problem}<p class="problem" role="alert">{problem}</p>{/if}
	{#if notice}<p role="status">{notice}</p>{/if}
	<Button size="small" disabled={busy} onclick={take}>Import</Button>
</section>

<style>
	.file {
		display: grid;
		justify-items: start;
	}
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
		gap: 0.8rem 1.2rem;
		max-width: 60rem;
		margin-bottom: 0.8rem;
		align-items: end;
	}
	.problem {
		color: var(--stop);
		white-space: pre-line;
	}
</style>
