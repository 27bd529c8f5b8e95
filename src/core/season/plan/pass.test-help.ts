import type { Pass } from '../../schema-types';

/** 100 lb of urea on top on 20 April, but for what is said otherwise. */
export function passOf(id: string, more: Partial<Pass> = {}): Pass {
	return {
		id,
		date: '2027-04-20',
		label: id,
		product: 'urea',
		rate: 100,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: '',
		...more
	};
}
