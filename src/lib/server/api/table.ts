import { applicationOperations } from './operations/applications';
import { bookOperations } from './operations/book';
import { copyOperations } from './operations/copies';
import { decisionOperations } from './operations/decisions';
import { fieldOperations } from './operations/fields';
import { groundOperations } from './operations/ground';
import { guideOperations } from './operations/guides';
import { headlessOperations } from './operations/headless';
import { leafRangeOperations } from './operations/leaf-ranges';
import { planOperations } from './operations/plan';
import { samplingOperations } from './operations/sampling';
import { supplyOperations } from './operations/supply';
import { trialOperations } from './operations/trials';
import { waterOperations } from './operations/water';
import { workOperations } from './operations/work';
import { yearOperations } from './operations/year';
import { version } from '../../../../package.json';
import { describeApi } from './description';
import { json, operation, type Operation } from './operation';

const TABLE = [
	...headlessOperations,
	...fieldOperations,
	...groundOperations,
	...yearOperations,
	...planOperations,
	...applicationOperations,
	...decisionOperations,
	...supplyOperations,
	...waterOperations,
	...leafRangeOperations,
	...trialOperations,
	...workOperations,
	...samplingOperations,
	...guideOperations,
	...bookOperations,
	...copyOperations
] as const;

/** Every operation of the program with its types: what the pages call by. */
export type Api = { [Row in (typeof TABLE)[number] as Row['key']]: Row };

/** The one table of the API; it describes itself. */
export const OPERATIONS: readonly Operation[] = [
	...(TABLE as readonly Operation[]),
	operation('GET /api', {
		summary: 'Gives this description of all operations',
		answer: json<Record<string, unknown>>('answers#/definitions/Description'),
		run: () => describeApi(OPERATIONS, version)
	})
];
