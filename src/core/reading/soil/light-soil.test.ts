import { expect, it } from 'vitest';
import type { TextureClass } from '../../schema-types';
import { library } from '../../testing.test-help';
import { hasTrait } from '../../season/plan/crop-traits';
import { isSandy } from './light-soil';

it('sand, loamy sand and sandy loam let nitrogen through; what is not known does not count as sand', () => {
	const textures: TextureClass[] = ['sand', 'loamy sand', 'sandy loam', 'loam', 'silt loam', 'sandy clay loam', 'clay'];
	expect(textures.filter(isSandy)).toEqual(['sand', 'loamy sand', 'sandy loam']);
	expect(isSandy(undefined)).toBe(false);
});

it('crops are told apart by their traits: each that rules ask for is some crop’s, and a crop may have none', () => {
	const crop = (id: string) => library.crops.find((one) => one.id === id)!;
	const having = (trait: Parameters<typeof hasTrait>[1]) =>
		library.crops.filter((one) => hasTrait(one, trait)).map(({ id }) => id);
	expect(having('corn')).toEqual(['corn-grain', 'corn-silage']);
	expect(having('wheat').sort()).toEqual(['spring-wheat', 'winter-wheat']);
	expect(having('demands-boron').sort()).toEqual(['alfalfa', 'sunflower']);
	expect(having('small-seeded')).toContain('canola');
	expect(having('sensitive-to-chloride').length).toBeGreaterThan(1);
	expect(having('forage-stand')).toEqual(['alfalfa']);
	expect(hasTrait(crop('soybean'), 'corn')).toBe(false);
	expect(hasTrait({}, 'corn')).toBe(false);
});
