import { figure, type Figure } from '../../figure/figure';
import type { PoolAnswer, PoolRequest } from '../../schema-types';
import { tAt } from '../analysis/distributions';
import { USUAL_LEVEL } from '../analysis/usual-values';
import { weightsOf } from './pool-sites';

/** The pooled effect and half of its interval, with what they are made of. */
export interface PooledFigures {
	effect: Figure;
	half: Figure;
}

/**
 * What stands behind an effect over several sites: each site's own effect and weight, and the variance between sites.
 * @param answer of `poolSites` for the same request
 */
export function pooledFigures(
	{ effects, level = USUAL_LEVEL }: PoolRequest,
	{ effect, se, tau2, high }: PoolAnswer,
	unit: string
): PooledFigures {
	const between = figure({
		label: 'variance between sites',
		value: tau2,
		unit: '',
		formula: 'restricted maximum likelihood',
		basis: 'measured'
	});
	const weights = weightsOf(
		effects.map((one) => one.se ** 2),
		tau2
	);
	const total = weights.reduce((sum, weight) => sum + weight, 0);
	const weightOf = (site: string, own: number, weight: number): Figure =>
		figure({
			label: `${site}: weight`,
			value: weight / total,
			unit: '',
			formula: '1 / (standard error squared + variance between sites), as a share of all',
			inputs: [figure({ label: 'standard error', value: own, unit, basis: 'measured' }), between],
			basis: 'measured'
		});
	return {
		effect: figure({
			label: `Effect over ${effects.length} sites`,
			value: effect,
			unit,
			formula: 'sum of weight x effect',
			inputs: effects.flatMap((one, at) => [
				figure({ label: `${one.site}: effect`, value: one.effect, unit, basis: 'measured' }),
				weightOf(one.site, one.se, weights[at]!)
			]),
			basis: 'measured'
		}),
		half: figure({
			label: 'half of its interval',
			value: high - effect,
			unit,
			formula: 't x standard error',
			inputs: [
				figure({
					label: `t of ${Math.round(100 * level)} %, two-sided, ${effects.length - 1} df`,
					value: tAt(level, effects.length - 1),
					unit: '',
					basis: 'published',
					citation: 'Student 1908, Biometrika 6'
				}),
				figure({
					label: 'standard error',
					value: se,
					unit,
					formula: 'sqrt(sum of weight x (effect - pooled effect) squared / (sites - 1))',
					basis: 'published',
					citation: 'Knapp and Hartung 2003, Statistics in Medicine 22'
				})
			],
			basis: 'measured'
		})
	};
}
