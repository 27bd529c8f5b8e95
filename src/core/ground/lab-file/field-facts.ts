import type { TextureClass } from '../../schema-types';
import { FactsActionBounds } from '../../schema-types/bounds';
import { HA_PER_ACRE } from '../../units/factors';
import { TEXTURE_CLASSES } from '../texture-classes';
import type { CellOf, CellProblem } from './cells';

/** What a lab's file says of the field itself. */
export interface FieldFacts {
	areaAc?: number;
	texture?: TextureClass;
}

/** Area and texture of the field that a row is of; what is wrong is added to the problems. */
export function readFieldFacts(cell: CellOf, problems: CellProblem[]): FieldFacts {
	return { ...readArea(cell, problems), ...readTexture(cell, problems) };
}

function readArea(cell: CellOf, problems: CellProblem[]): FieldFacts {
	const [inAcres, inHectares] = [cell('acres'), cell('hectares')];
	const { column, text } = inAcres.text === '' ? inHectares : inAcres;
	if (text === '') return {};
	const areaAc = Number(text.replaceAll(',', '')) / (inAcres.text === '' ? HA_PER_ACRE : 1);
	if (areaAc > 0 && areaAc <= FactsActionBounds.areaAcres.most) return { areaAc };
	problems.push({ column, message: `“${text}” is no area of a field; write it above 0` });
	return {};
}

function readTexture(cell: CellOf, problems: CellProblem[]): FieldFacts {
	const { column, text } = cell('texture');
	if (text === '') return {};
	const named = text.toLowerCase().replaceAll(/[\s-]+/g, ' ');
	const texture = TEXTURE_CLASSES.find((one) => one === named);
	if (texture) return { texture };
	problems.push({ column, message: `“${text}” is no texture; write one of ${TEXTURE_CLASSES.join(', ')}` });
	return {};
}
