import { quantityIn } from '../units/amount-text';
import { rateName } from './rate-name';
import type { SheetContent } from '../schema-types';
import { placementText } from '../season/plan/placement-text';
import { formatQuantity } from '../units/display';
import { inSystem, type UnitSystem } from '../units/rate-units';
import { prescriptionText, quantityText } from './sheet-table';
import { sameAdvice } from './same-advice';
import { namedCheck } from './sheet-warnings';
import { longDate } from '../units/day-text';

/** In words what a sheet says otherwise than an earlier one of the field-year; none where both say the same. */
export function sheetDifferences(before: SheetContent, after: SheetContent): string[] {
	const changes = [
		...cropChanges(before, after),
		...soilChanges(before, after),
		...rateChanges(before, after),
		...passChanges(before, after),
		...costChanges(before, after),
		...checkChanges(before, after),
		...packChanges(before, after)
	];
	// What stands only in a worksheet is a change too.
	return changes.length > 0 || sameAdvice(before, after) ? changes : ['The numbers behind a rate or a pass.'];
}

function checkChanges(before: SheetContent, after: SheetContent): string[] {
	const said = (content: SheetContent) =>
		content.checks.filter(({ severity }) => severity !== 'note').map((check) => namedCheck(check, content));
	const [old, now] = [said(before), said(after)];
	return [
		...now.filter((text) => !old.includes(text)).map((text) => `New: ${text}`),
		...old.filter((text) => !now.includes(text)).map((text) => `No longer: ${text}`)
	];
}

function packChanges({ packs: before }: SheetContent, { packs: after }: SheetContent): string[] {
	return after.flatMap(({ id, title, version }) => {
		const old = before.find((one) => one.id === id);
		return !old || old.version === version ? [] : [`Guide: ${title} ${version}, before ${old.version}.`];
	});
}

function cropChanges({ crop: before }: SheetContent, { crop: after, units }: SheetContent): string[] {
	const changes: string[] = [];
	if (before.name !== after.name) changes.push(`Crop: ${after.name}, before ${before.name}.`);
	if (before.yieldGoal !== after.yieldGoal) {
		const said = ({ yieldGoal, yieldUnit }: SheetContent['crop']) => quantityIn(units, yieldGoal, yieldUnit);
		changes.push(`Goal: ${said(after)}, before ${said(before)}.`);
	}
	if (before.second?.name !== after.second?.name || before.second?.yieldGoal !== after.second?.yieldGoal) {
		changes.push(`Second crop: ${secondText(after, units)}, before ${secondText(before, units)}.`);
	}
	if (before.plantingDate !== after.plantingDate) {
		changes.push(`Planting: ${longDate(after.plantingDate)}, before ${longDate(before.plantingDate)}.`);
	}
	return changes;
}

const secondText = ({ second }: SheetContent['crop'], units: UnitSystem) =>
	second ? `${second.name.toLowerCase()}, goal ${quantityIn(units, second.yieldGoal, second.yieldUnit)}` : 'none';

function soilChanges({ soil: before }: SheetContent, { soil: after }: SheetContent): string[] {
	const changes = after.values.flatMap(({ label, value, unit }) => {
		const old = before.values.find((one) => one.label === label);
		if (!old) return [`Soil: ${label} ${formatQuantity(value, unit)}, not known before.`];
		if (Math.abs(old.value - value) < 1e-9) return [];
		return [`Soil: ${label} ${formatQuantity(value, unit)}, before ${formatQuantity(old.value, old.unit)}.`];
	});
	return before.source === after.source
		? changes
		: [`Soil test: ${after.source}, before ${before.source}.`, ...changes];
}

function rateChanges(before: SheetContent, after: SheetContent): string[] {
	const amount = ({ rate }: SheetContent['rates'][number], { units }: SheetContent) =>
		quantityText(inSystem(rate, units));
	const changed = after.rates.flatMap((rate) => {
		const old = before.rates.find((one) => rateName(one) === rateName(rate));
		if (!old) return [`Rate: ${rateName(rate)} ${amount(rate, after)} by ${rate.by}, open before.`];
		const same = Math.abs(old.rate.value - rate.rate.value) < 1e-9 && old.by === rate.by;
		if (same) return [];
		const by = old.by === rate.by ? '' : ` by ${rate.by}, no longer ${old.by}`;
		return [`Rate: ${rateName(rate)} ${amount(rate, after)}${by}, before ${amount(old, before)}.`];
	});
	const gone = before.rates.map(rateName).filter((name) => !after.rates.some((rate) => rateName(rate) === name));
	return [...changed, ...gone.map((name) => `Rate: ${name} is open now.`)];
}

function passChanges(before: SheetContent, after: SheetContent): string[] {
	const added = after.passes.filter(({ pass }) => !before.passes.some((old) => old.pass.id === pass.id));
	const gone = before.passes.filter(({ pass }) => !after.passes.some((one) => one.pass.id === pass.id));
	const changed = after.passes.flatMap((one) => {
		const old = before.passes.find(({ pass }) => pass.id === one.pass.id);
		if (!old) return [];
		const parts = [
			old.pass.date !== one.pass.date && `on ${longDate(one.pass.date)}, before ${longDate(old.pass.date)}`,
			old.productName !== one.productName && `${one.productName} in place of ${old.productName}`,
			Math.abs(old.pass.rate - one.pass.rate) > 1e-9 &&
				`${quantityText(inSystem(one.rate, after.units))}, before ${quantityText(inSystem(old.rate, before.units))}`,
			placementText(old.pass, after.units) !== placementText(one.pass, after.units) &&
				`${placementText(one.pass, after.units)}, before ${placementText(old.pass, after.units)}`,
			prescriptionText(old) !== prescriptionText(one) &&
				(one.prescription
					? `by prescription ${prescriptionText(one)}, before ${prescriptionText(old) || 'at one rate'}`
					: 'no longer by prescription')
		].filter(Boolean);
		return parts.length > 0 ? [`${one.pass.label}: ${parts.join('; ')}.`] : [];
	});
	return [
		...changed,
		...added.map(
			({ pass, productName, rate }) =>
				`New: ${pass.label} on ${longDate(pass.date)}, ${productName}, ${quantityText(inSystem(rate, after.units))}.`
		),
		...gone.map(({ pass }) => `No longer: ${pass.label} on ${longDate(pass.date)}.`)
	];
}

function costChanges({ cost: before }: SheetContent, { cost: after }: SheetContent): string[] {
	if (!before?.applies || !after?.applies || Math.abs(before.value - after.value) < 0.005) return [];
	return [`Products: ${formatQuantity(after.value, after.unit)}, before ${formatQuantity(before.value, before.unit)}.`];
}
