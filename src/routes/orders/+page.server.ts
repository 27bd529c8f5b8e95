import { deskOf } from '$lib/server/desk';
import { ordersPage } from '$lib/server/pages/whole-book/orders-page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => ordersPage(deskOf(locals), url.searchParams.get('year'));
