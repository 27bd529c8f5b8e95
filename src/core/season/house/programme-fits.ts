import type { HouseProgramme, ProgrammeGround } from '../../schema-types';
import { formatNumber } from '../../units/display';

/** What of a field in a year picks its house programme; what is not known stays out. */
export interface ProgrammeFacts {
	crop: string;
	/** meq/100 g. */
	cec?: number;
	/** In water. */
	soilPh?: number;
	slopePercent?: number;
	textureClass?: string;
}

type Bounds = [from: keyof ProgrammeGround, below: keyof ProgrammeGround, fact: 'cec' | 'soilPh' | 'slopePercent'];

const BOUNDS: Record<string, Bounds> = {
	CEC: ['cecFrom', 'cecBelow', 'cec'],
	'soil pH': ['phFrom', 'phBelow', 'soilPh'],
	slope: ['slopeFrom', 'slopeBelow', 'slopePercent']
};

/**
 * Why a house programme is not for a field, in words; undefined where it is. Ground that is asked for and not known does not fit: nobody
 * would know whether it does.
 */
export function whyNotFor({ crops, ground }: HouseProgramme, facts: ProgrammeFacts): string | undefined {
	if (!crops.includes(facts.crop)) return 'it is for another crop';
	for (const [name, [from, below, fact]] of Object.entries(BOUNDS)) {
		const least = ground[from] as number | undefined;
		const most = ground[below] as number | undefined;
		if (least === undefined && most === undefined) continue;
		const value = facts[fact];
		if (value === undefined) return `the ${name} is not known`;
		if (least !== undefined && value < least) return `${name} ${said(value)} is below ${least}`;
		if (most !== undefined && value >= most) return `${name} ${said(value)} is not below ${most}`;
	}
	if (!ground.textures) return undefined;
	if (facts.textureClass === undefined) return 'the texture is not known';
	const fits = (ground.textures as readonly string[]).includes(facts.textureClass);
	return fits ? undefined : `the texture is ${facts.textureClass}`;
}

/** The first programme in order that is for a field. */
export function programmeFor<P extends HouseProgramme>(programmes: readonly P[], facts: ProgrammeFacts): P | undefined {
	return programmes.find((programme) => whyNotFor(programme, facts) === undefined);
}

function said(value: number): string {
	return formatNumber(value, 'pH');
}
