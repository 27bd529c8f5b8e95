import { shareOf, standingApplications, type RecordedPass } from '../../../core/season/applied/recorded-pass';
import { partText } from '../../../core/season/applied/part-text';
import { productOf } from '../../../core/season/plan/plan-context';
import type { Application, Pass, Product } from '../../../core/schema-types';
import { quantityIn } from '../../../core/units/amount-text';
import { weatherText } from '../../../core/units/weather-units';
import type { UnitSystem } from '../../../core/units/rate-units';

/** An entry on a pass, as the page of the records shows it. */
export interface ApplicationView {
	id: string;
	pass: string;
	label: string;
	content: Application;
	product: string;
	rate: string;
	/** The ground that it went on, in words. */
	ground: string;
	/** Marked as applied as it was planned: nobody wrote an entry. */
	asPlanned?: true;
	/** A later entry stands in its place. */
	corrected: boolean;
	/** Of the day, in a few words; empty where no station measured it. */
	weather: string;
}

/** Every entry of a year, the newest day first; entries that were corrected stay where their day puts them. */
export function applicationViews(
	passes: readonly RecordedPass[],
	products: readonly Product[],
	units: UnitSystem
): ApplicationView[] {
	return passes
		.flatMap(({ plan, applications, doneOn }) => {
			if (applications.length === 0) return doneOn === null ? [] : [asPlanned(plan, doneOn, products, units)];
			const standing = new Set(standingApplications(applications).map(({ id }) => id));
			return applications.map(({ id, content }): ApplicationView => {
				const { applied, fieldAcres } = content;
				return {
					id,
					pass: plan.id,
					label: plan.label,
					content,
					product: applied ? productOf(applied, products).name : '',
					rate: applied ? quantityIn(units, applied.rate, applied.unit) : '',
					ground: applied
						? applied.acres === undefined || fieldAcres === undefined
							? 'whole field'
							: quantityIn(units, applied.acres, 'ac')
						: '',
					weather: content.weather ? weatherText(content.weather, units) : '',
					corrected: applied !== undefined && !standing.has(id)
				};
			});
		})
		.sort((a, b) => dayOf(b).localeCompare(dayOf(a)));
}

/** A pass that went on as it was planned. */
function asPlanned(plan: Pass, doneOn: string, products: readonly Product[], units: UnitSystem): ApplicationView {
	const { id, label, product, rate, unit } = plan;
	return {
		id: `planned-${id}`,
		pass: id,
		label,
		content: { recordedAt: `${doneOn}T00:00:00Z`, applied: { appliedOn: doneOn, product, rate, unit } },
		product: productOf(plan, products).name,
		rate: quantityIn(units, rate, unit),
		ground: 'whole field',
		weather: '',
		corrected: false,
		asPlanned: true
	};
}

const dayOf = ({ content }: ApplicationView): string => content.applied?.appliedOn ?? content.recordedAt.slice(0, 10);

/** How far a pass is: its day, what is on so far, or nothing where it was not begun. */
export function stateOf({ plan, doneOn, applications }: RecordedPass, areaAc: number | undefined, units: UnitSystem) {
	const standing = standingApplications(applications);
	const share = standing.reduce((sum, { content }) => sum + shareOf(content), 0);
	return {
		id: plan.id,
		doneOn,
		entries: standing.length,
		soFar: doneOn === null && share > 0 ? partText({ share }, areaAc, units) : undefined,
		acresLeft: areaAc === undefined ? undefined : Math.max(0, (1 - share) * areaAc)
	};
}
