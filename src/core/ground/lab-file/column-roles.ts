import type { ColumnMeaning } from '../../schema-types';

type Role = ColumnMeaning['role'];

/** What a column may say about the sample, by what the file holds; each but the first stands for one column at most. */
export const COLUMN_ROLES: Record<'soil' | 'leaf', readonly Role[]> = {
	soil: [
		'ignore',
		'field',
		'grower',
		'sample number',
		'date',
		'depth',
		'top depth',
		'bottom depth',
		'spot',
		'acres',
		'hectares',
		'texture'
	],
	leaf: ['ignore', 'field', 'grower', 'sample number', 'date', 'spot', 'crop', 'part', 'stage', 'leaves']
};
