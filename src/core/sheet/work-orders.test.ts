import { describe, expect, it } from 'vitest';
import { figure } from '../figure/figure';
import type { SheetContent } from '../schema-types';
import { workOrders } from './work-orders';

const product = figure({ label: 'product', value: 900, unit: 'kg', basis: 'practice' });
const round = (id: string, date: string, change: object = {}) => ({
	pass: {
		id,
		date,
		label: id,
		product: 'ammonium-sulfate',
		rate: 120,
		unit: 'lb/ac',
		placement: 'broadcast',
		reason: ''
	},
	cautions: [],
	palmDose: { text: '1 kg/palm', product },
	...change
});
const sheet = (...passes: ReturnType<typeof round>[]) =>
	({ passes, checks: [], cautions: [], loading: [] }) as unknown as SheetContent;

describe('the work orders of palms', () => {
	it('begin by turns at the road and at the centre path, in order of date', () => {
		const orders = workOrders(
			sheet(round('third', '2027-09-15'), round('first', '2027-01-15'), round('second', '2027-05-15'))
		);
		expect(orders.map(({ title, startsFrom }) => [title, startsFrom])).toEqual([
			['first', 'the road'],
			['second', 'the centre path'],
			['third', 'the road']
		]);
	});
	it('say nothing of it for machines, and for what is not dosed by palm', () => {
		const spread = round('lime', '2027-02-01', { palmDose: undefined });
		const machine = round('by machine', '2027-03-01');
		const orders = workOrders(
			sheet(
				spread,
				{ ...machine, pass: { ...machine.pass, machine: 'spreader' } as never },
				round('by hand', '2027-05-15')
			)
		);
		expect(orders.map(({ startsFrom }) => startsFrom)).toEqual([undefined, undefined, 'the road']);
	});
});
