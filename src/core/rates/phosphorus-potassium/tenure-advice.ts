import type { AdviseRequest, School } from '../../schema-types';

type Tenure = NonNullable<AdviseRequest['field']['tenure']>;

/**
 * The economic trim: who pays for a build-up, and who has it. Common practice.
 * @returns the school that suits the tenure, and why; undefined where the tenure is not known
 */
export function tenureAdvice(tenure: Tenure | undefined): { school: School; why: string } | undefined {
	switch (tenure) {
		case 'rented by the year':
			return {
				school: 'feed-the-crop',
				why: 'Rented by the year: sufficiency rates. What is built up in the soil stays with the owner.'
			};
		case 'owned':
			return { school: 'build-and-maintain', why: 'Owned: building the soil up pays over the years.' };
		case 'rented long':
			return {
				school: 'build-and-maintain',
				why: 'Rented long: building up pays as far as the lease lasts; have it written into the lease.'
			};
		default:
			return undefined;
	}
}
