import { sheetOf } from '$lib/server/http/sheet-param';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => {
	const { id, number, content } = sheetOf(params);
	return { id, number, content, title: `Sheet ${number}` };
};
