<!-- The issued sheets and work orders of many fields, as files. -->
<script lang="ts">
	interface Props {
		issued: readonly { id: string }[];
	}
	const { issued }: Props = $props();

	/** Sheets of one PDF: more would take minutes to print, and their addresses would not fit. */
	const IN_A_FILE = 100;
	const files = $derived(
		Array.from({ length: Math.ceil(issued.length / IN_A_FILE) }, (_file, at) => {
			const part = issued.slice(at * IN_A_FILE, (at + 1) * IN_A_FILE);
			const from = at * IN_A_FILE + 1;
			return {
				query: part.map(({ id }) => `sheet=${id}`).join('&'),
				which: issued.length > IN_A_FILE ? `sheets ${from} to ${from + part.length - 1}` : `${issued.length} sheets`
			};
		})
	);
</script>

{#each files as { query, which } (which)}
	<a href={`/orders/work?${query}`} download>Work orders of {which} (PDF)</a>
	<a href={`/orders/work?what=sheets&${query}`} download>{which} (PDF)</a>
{/each}
