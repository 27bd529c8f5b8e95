import { csvText } from '$core/check/csv-text';
import { BALANCED } from '$core/season/plan/balance/nutrient-balance';
import { deskOf } from '$lib/server/desk';
import { download } from '$lib/server/files/download';
import { yearsPage } from '$lib/server/pages/office/years-page';
import type { RequestHandler } from './$types';

const DECIMALS = 3;
const said = (value: number | undefined) => (value === undefined ? '' : Number(value.toFixed(DECIMALS)));

/** The book over the years as CSV, by the acre in US units: a line for each field, grower or the book in each year. */
export const GET: RequestHandler = ({ locals, url }) => {
	const { from, to, by, lines } = yearsPage(deskOf(locals), url.searchParams);
	const rows = lines.map((line) => ({
		name: line.name,
		grower: line.grower,
		year: line.year,
		crop: line.crop,
		fields: line.fields,
		'area, ac': said(line.acres),
		goal: said(line.goal),
		harvested: said(line.harvested),
		'harvest / goal': said(line.ofGoal),
		'N planned, lb/ac': said(line.plannedN),
		'N applied, lb/ac': said(line.appliedN),
		...Object.fromEntries(BALANCED.map((nutrient) => [`${nutrient} balance, lb/ac`, said(line.balance[nutrient])])),
		...Object.fromEntries(BALANCED.map((nutrient) => [`${nutrient} running, lb/ac`, said(line.running[nutrient])])),
		'cost, $/ac': said(line.cost),
		'cost, $ per unit of yield': said(line.costPerYield),
		'lime to offset acidity, lb CaCO3/ac': said(line.acidity),
		'lime applied, short ton/ac': said(line.lime)
	}));
	const csv = csvText(rows);
	return download(`${by} ${from} to ${to}`, '.csv', csv);
};
