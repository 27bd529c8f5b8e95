import schema from '../../../schemas/water-request.schema.json';

interface Limits {
	minimum: number;
	maximum: number;
}
const { WaterReport, IonAmount } = schema.definitions;

/** From least to most that a value of a report, or what is asked of water, may be: as the schema of the request has it. */
export function waterValueLimits(key: string): Limits {
	const properties: Record<string, object> = { ...WaterReport.properties, ...schema.properties };
	const property = properties[key] ?? {};
	return '$ref' in property ? IonAmount : (property as Limits);
}
