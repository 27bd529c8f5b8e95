import { describe, expect, it } from 'vitest';
import type { FertigationRequest } from '../../../../core/schema-types';
import { planFertigation } from '../../../../core/supply/fertigation/plan-fertigation';
import { theLibrary } from '../../knowledge';
import { tankCard } from './tank-card';

const { products, cautions } = theLibrary();
const head = { field: 'North', grower: 'Tarrow', day: '2027-05-10', preparedBy: 'Ada', cautions };
const request: FertigationRequest = {
	areaAcres: 24,
	doses: [
		{ product: 'potassium-nitrate', lbPerAcre: 60 },
		{ product: 'sulfuric-acid', lbPerAcre: 20 }
	],
	through: { kind: 'drip', zones: 4, hoursPerZone: 8 },
	tankGal: 300
};
const card = (change: Partial<FertigationRequest> = {}, units: 'us' | 'metric' = 'us') => {
	const asked = { ...request, ...change };
	return JSON.stringify(tankCard(asked, planFertigation(asked, products), { ...head, units }).content);
};

describe('the card at the pump', () => {
	it('holds stock, fills, pump rates and times, and the cautions of acid and of irrigation', () => {
		const text = card();
		for (const part of ['1440 lb', '546 gal, in 2 fills', '34.1 gal/h', 'from 2 h to 6 h', 'Jar test', '10 May 2027']) {
			expect(text).toContain(part);
		}
		expect(text).toContain(cautions.cautions.acid);
		expect(text).toContain(cautions.irrigation);
		expect(text).not.toContain('Not to be injected');
	});
	it('says first that it must not be injected where something is a stop', () => {
		const doses = [
			{ product: 'calcium-nitrate', lbPerAcre: 20, tank: 'A' as const },
			{ product: 'ammonium-sulfate', lbPerAcre: 20, tank: 'A' as const }
		];
		expect(card({ doses })).toContain('Not to be injected as it stands');
		expect(card({ doses })).toContain('stop: Calcium nitrate');
	});
	it('speaks the reader’s units, and of a turn under a pivot', () => {
		const text = card({ through: { kind: 'pivot', hoursPerTurn: 60 } }, 'metric');
		for (const part of ['653 kg', '9.7 ha', 'L/h', 'runs the whole turn']) expect(text).toContain(part);
		expect(text).not.toContain('To each zone');
	});
});
