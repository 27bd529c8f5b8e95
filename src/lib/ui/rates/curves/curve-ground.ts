import type { PreviousCropId, ResponseCurve, TextureClass } from '$core/schema-types';
import { idFrom } from './curve-text';
import { save } from '../../forms/call';

/** What is asked of every curve beside its shape. */
export interface CurveGroundFields {
	title: string;
	previousCrops: readonly PreviousCropId[];
	textureClasses: readonly TextureClass[];
	source: string;
}

export function emptyGround(): CurveGroundFields {
	return { title: '', previousCrops: [], textureClasses: [], source: '' };
}

/** Puts a curve into the library; gives back what went wrong, or an empty text. */
export async function keepCurve(
	{ title, previousCrops, textureClasses, source }: CurveGroundFields,
	curve: Omit<ResponseCurve, 'id' | 'title' | 'previousCrops' | 'textureClasses' | 'source'>
): Promise<string> {
	if (idFrom(title) === '') return 'Give the curve a title, such as “Corn after soybean, silt loam”.';
	if (source.trim().length < 3) return 'Say where the curve comes from: it stands on every worksheet.';
	return save(
		'POST /api/curves',
		{},
		{
			curve: {
				id: idFrom(title),
				title: title.trim(),
				...(previousCrops.length > 0 ? { previousCrops: [...previousCrops] } : {}),
				...(textureClasses.length > 0 ? { textureClasses: [...textureClasses] } : {}),
				source: source.trim(),
				...curve
			}
		}
	);
}
