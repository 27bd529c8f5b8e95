import type { DaysWork, Pass, ProductWork, RoundingWork } from '../../../../core/schema-types';
import { withOtherProduct } from '../../../../core/season/house/other-product';
import { roundedPass } from '../../../../core/season/house/rounded-pass';
import { productOf } from '../../../../core/season/plan/plan-context';
import { dateFault } from '../../../../core/season/plan/season-span';
import { tripOf } from '../../../../core/season/plan/trips';
import { shiftDate } from '../../../../core/season/weather/season-weather';
import { quantityIn } from '../../../../core/units/amount-text';
import { longDate } from '../../../../core/units/day-text';
import type { FieldRow } from '../../stores/fields';
import { findFieldYear, listPasses } from '../../stores/field-years';
import { plantingDateOf } from '../field-request';
import { cannot, type Planned } from './planned';
import type { WorkGround } from './work-ground';

/** A pass as it becomes; undefined where it stays, or why it cannot become so. */
type Change = (pass: Pass) => Pass | { cannot: string } | undefined;

/** Another product in the open passes of one, at the same pounds of what it is bought for. */
export function productWork(ground: WorkGround, field: FieldRow, { from, to }: ProductWork): Planned {
	const { products } = ground.library;
	const [was, takes] = [from, to].map((id) => products.find((product) => product.id === id)!);
	return changed(ground, field, `no open pass of ${was!.name}`, (pass) =>
		pass.product === from ? withOtherProduct(pass, was!, takes!) : undefined
	);
}

/** Open passes some days earlier or later, with all that goes on in the same trip. */
export function daysWork(ground: WorkGround, field: FieldRow, { days, product }: DaysWork): Planned {
	const goal = findFieldYear(ground.book, field.id, ground.year);
	const open = goal ? openOf(ground, goal.id) : [];
	const asked = open.filter((pass) => product === undefined || pass.product === product);
	const moved = new Set(asked.flatMap((pass) => tripOf(pass, open).map(({ id }) => id)));
	return changed(ground, field, 'no such pass is open', (pass) =>
		moved.has(pass.id) ? { ...pass, date: shiftDate(pass.date, days) } : undefined
	);
}

/** The rates of open passes at steps. */
export function roundingWork(ground: WorkGround, field: FieldRow, { rounding }: RoundingWork): Planned {
	const { products } = ground.library;
	return changed(ground, field, 'no pass is open', (pass) => roundedPass(pass, rounding, productOf(pass, products)));
}

function openOf({ book }: WorkGround, fieldYearId: string): Pass[] {
	return listPasses(book, fieldYearId)
		.filter(({ doneOn }) => doneOn === null)
		.map(({ plan }) => plan);
}

function changed(ground: WorkGround, field: FieldRow, none: string, change: Change): Planned {
	const goal = findFieldYear(ground.book, field.id, ground.year);
	if (!goal) return cannot(`no crop and goal for ${ground.year} yet`);
	const plantingDate = plantingDateOf(goal, ground.library);
	const after: Pass[] = [];
	const changes: string[] = [];
	let touched = 0;
	for (const pass of openOf(ground, goal.id)) {
		const now = change(pass);
		if (now === undefined) continue;
		if ('cannot' in now) return cannot(now.cannot);
		touched++;
		if (JSON.stringify(now) === JSON.stringify(pass)) continue;
		const fault = now.date === pass.date ? undefined : dateFault(now, ground.library.products, plantingDate);
		if (fault) return cannot(`${pass.label}: its day ${fault}`);
		after.push(now);
		changes.push(`${pass.label}: ${differences(pass, now, ground, field)}`);
	}
	if (touched === 0) return cannot(none);
	return {
		changes,
		notes: [],
		write: (writer) => after.forEach((pass) => writer.update('pass', pass.id, { plan: JSON.stringify(pass) }))
	};
}

/** "268 lb/ac urea, now 437 lb/ac UAN-28", or "12 Apr 2027, now 19 Apr 2027". */
function differences(before: Pass, after: Pass, { library }: WorkGround, { units }: FieldRow): string {
	if (before.date !== after.date) return `${longDate(before.date)}, now ${longDate(after.date)}`;
	const said = (pass: Pass) => `${quantityIn(units, pass.rate, pass.unit)} ${productOf(pass, library.products).name}`;
	return `${said(before)}, now ${said(after)}`;
}
