import { RATE_NUTRIENTS } from '../../../../core/rates/advise';
import { OWN_CURVES } from '../../../../core/rates/nitrogen/own-curves';
import type { RateNutrient } from '../../../../core/schema-types';
import { schoolName } from '../../../school-names';
import type { Desk } from '../../desk';
import { planningYear } from '../../field/planning-year';
import { listFollowed, listHouseProgrammes } from '../../stores/plan/house-programmes';
import { listCurves } from '../../stores/response-curves';

/** The house programmes of the book, and what one can be made of. */
export function programmesPage({ book, library, today, settings }: Desk) {
	const year = planningYear(today);
	const followed = [...listFollowed(book, year).values()];
	const { crops, products, packs } = library;
	const nutrients: readonly string[] = RATE_NUTRIENTS;
	const ofGuides = packs.rules
		.filter(({ rule, kind }) => nutrients.includes(rule.gives) && kind.covers === undefined)
		.map(({ method, rule, pack, forCrop }) => ({
			method,
			nutrient: rule.gives as RateNutrient,
			name: rule.school ? `${pack.title}: ${schoolName(rule.school)}` : pack.title,
			crops: crops.filter(({ id }) => forCrop(id) !== undefined).map(({ id }) => id)
		}));
	const ofCurves = listCurves(book)
		.filter(({ simulated }) => !simulated)
		.map(({ id, title, crop }) => ({
			method: `${OWN_CURVES}/${id}`,
			nutrient: 'N' as const,
			name: `Own curve: ${title}`,
			crops: [crop]
		}));
	return {
		title: 'House programmes',
		units: settings.units,
		year,
		programmes: listHouseProgrammes(book).map((programme) => ({
			...programme,
			fields: followed.filter((one) => one.programme === programme.id).length,
			older: followed.filter((one) => one.programme === programme.id && one.version < programme.version).length
		})),
		nutrients: RATE_NUTRIENTS,
		methods: [...ofGuides, ...ofCurves],
		crops: crops.map(({ id, name }) => ({ id, name })),
		products: products.map(({ id, name, placements, analysis }) => ({ id, name, placements, N: analysis.N ?? 0 }))
	};
}
