import { csvLines } from '../check/csv-lines';
import { InputError, type Problem } from '../check/problem';
import { notMeasured, readDate, readNumber, type CellProblem } from '../ground/lab-file/cells';
import { waterValueLimits } from './report-limits';
import type { BookedReport, WaterKind, WaterReport, WaterSource } from '../schema-types';

/** A report of a file, with the name of the source that it is of. */
export interface ReportOfFile {
	source: string;
	/** Of a source that is new; a well where the file does not say. */
	kind: WaterKind;
	report: BookedReport;
}

type Measured = Exclude<keyof WaterReport, 'unit'>;

/** What the heads of labs call a value, without unit, case and signs. */
const HEADS: Record<Measured, readonly string[]> = {
	ec: ['ec', 'ecw', 'conductivity', 'electricalconductivity'],
	ph: ['ph'],
	ca: ['ca', 'calcium'],
	mg: ['mg', 'magnesium'],
	na: ['na', 'sodium'],
	k: ['k', 'potassium'],
	hco3: ['hco3', 'bicarbonate'],
	co3: ['co3', 'carbonate'],
	cl: ['cl', 'chloride'],
	so4: ['so4', 'sulfate', 'sulphate'],
	no3n: ['no3n', 'nitraten', 'nitratenitrogen'],
	no3: ['no3', 'nitrate'],
	b: ['b', 'boron'],
	fe: ['fe', 'iron'],
	mn: ['mn', 'manganese']
};
const ABOUT = {
	source: ['source', 'name', 'well', 'sampleid', 'sample'],
	kind: ['kind', 'type'],
	date: ['date', 'takenon', 'sampled', 'sampledate'],
	lab: ['lab', 'laboratory'],
	unit: ['unit', 'units']
} as const;
/** A lab's account of many years. */
const MOST_LINES = 2000;
const KINDS: readonly WaterKind[] = ['well', 'river', 'pond', 'canal', 'other'];
const TRACES: readonly Measured[] = ['b', 'fe', 'mn'];
const PER_DS_M: Record<string, number> = { 'ds/m': 1, 'mmhos/cm': 1, 'ms/cm': 1, 'us/cm': 1000, 'umhos/cm': 1000 };

interface Column {
	key: Measured;
	at: number;
	/** As it stands in the head; empty where the head gives none. */
	unit: string;
}

/**
 * Water reports of a CSV file, one to a row, whatever the order of its columns: source, date and what the lab measured.
 * @throws InputError naming line, value and what would be right; a file with a fault gives nothing
 */
export function readReportCsv(text: string, today: string): ReportOfFile[] {
	const [{ cells: heads } = { cells: [] }, ...rows] = csvLines(text, MOST_LINES);
	const about = (key: keyof typeof ABOUT) => heads.findIndex((head) => isCalled(head, ABOUT[key]));
	for (const key of ['source', 'date'] as const) {
		if (about(key) < 0) {
			throw new InputError([{ path: 'line 1', message: `has no column “${key}”, which each report needs` }]);
		}
	}
	const columns = heads.flatMap((head, at) => columnOf(head, at));
	if (columns.length === 0) {
		throw new InputError([{ path: 'line 1', message: 'has no column that was measured, such as EC, pH, Ca or HCO3' }]);
	}
	const usual = unitOf(columns);
	const problems: Problem[] = [];
	const reports = rows.map(({ line, cells }): ReportOfFile => {
		const told = (message: string) => problems.push({ path: `line ${line}`, message });
		const cell = (key: keyof typeof ABOUT) => cells[about(key)] ?? '';
		const source = cell('source');
		if (source === '') told('names no source');
		const kind = KINDS.find((one) => one === cell('kind').toLowerCase());
		if (cell('kind') !== '' && !kind) told(`“${cell('kind')}” must be ${KINDS.join(', ')}`);
		const unit = unitOfRow(cell('unit'), usual, told);
		const water: WaterReport = { unit, ...valuesOf(cells, columns, told) };
		const takenOn = dayOf(cell('date'), today, told);
		const lab = cell('lab');
		return { source, kind: kind ?? 'well', report: { takenOn, water, ...(lab ? { lab } : {}) } };
	});
	if (problems.length > 0) throw new InputError(problems);
	if (reports.length === 0) throw new InputError([{ path: 'file', message: 'holds no report' }]);
	return reports;
}

/** All reports as rows of text, header first; calcium to nitrate are in the unit that each row names. */
export function reportRows(sources: readonly WaterSource[]): string[][] {
	const keys = Object.keys(HEADS) as Measured[];
	const names = keys.map((key) => {
		if (key === 'ph') return 'pH';
		if (key === 'ec') return 'EC, dS/m';
		if (TRACES.includes(key)) return `${capital(key)}, ppm`;
		return key === 'no3n' ? 'NO3-N' : capital(key);
	});
	return [
		['source', 'kind', 'date', 'lab', 'unit', ...names],
		...sources.flatMap(({ name, kind, reports }) =>
			reports.map(({ report: { takenOn, lab = '', water } }) => [
				name,
				kind,
				takenOn,
				lab,
				water.unit,
				...keys.map((key) => water[key]?.toString() ?? '')
			])
		)
	];
}

function capital(key: Measured): string {
	return key.length <= 2 ? key.charAt(0).toUpperCase() + key.slice(1) : key.toUpperCase();
}

function isCalled(head: string, names: readonly string[]): boolean {
	return names.includes(plainHead(head));
}

/** "NO3-N (mg/L)" and "Ca, ppm" without what follows the name. */
function plainHead(head: string): string {
	return head
		.replace(/[([,].*$|\b(ppm|mg\/l|meq\/l|ds\/m|[mu]s\/cm|[mu]mhos\/cm)\b.*$/i, '')
		.toLowerCase()
		.replace(/[^a-z0-9]/g, '');
}

function columnOf(head: string, at: number): Column[] {
	const key = (Object.keys(HEADS) as Measured[]).find((one) => isCalled(head, HEADS[one]));
	const unit = /(ppm|mg\/l|meq\/l|ds\/m|[mu]s\/cm|[mu]mhos\/cm)/i.exec(head.replaceAll('µ', 'u'))?.[1] ?? '';
	return key ? [{ key, at, unit: unit.toLowerCase() }] : [];
}

/** The one unit of calcium to nitrate that the heads say; undefined where they say none. */
function unitOf(columns: readonly Column[]): WaterReport['unit'] | undefined {
	const ions = columns.filter(({ key }) => !['ec', 'ph', ...TRACES].includes(key));
	const units = new Set(
		ions.flatMap(({ unit }) => (unit === '' ? [] : ([unit === 'meq/l' ? 'meq/L' : 'ppm'] as const)))
	);
	if (units.size > 1) {
		throw new InputError([
			{ path: 'line 1', message: 'gives some of calcium to nitrate in ppm and some in meq/L; give all in one unit' }
		]);
	}
	return [...units][0];
}

/** The unit that a row names, else that of the heads, else ppm. */
function unitOfRow(
	text: string,
	usual: WaterReport['unit'] | undefined,
	told: (message: string) => void
): WaterReport['unit'] {
	const named = ({ ppm: 'ppm', 'mg/l': 'ppm', 'meq/l': 'meq/L' } as const)[text.toLowerCase()];
	if (text !== '' && named === undefined) told(`the unit “${text}” must be ppm or meq/L`);
	if (named !== undefined && usual !== undefined && named !== usual) {
		told(`the unit ${named} is not that of the columns, ${usual}`);
	}
	return named ?? usual ?? 'ppm';
}

function valuesOf(
	cells: readonly string[],
	columns: readonly Column[],
	told: (message: string) => void
): Partial<Record<Measured, number>> {
	const values: Partial<Record<Measured, number>> = {};
	for (const { key, at, unit } of columns) {
		const text = cells[at] ?? '';
		if (notMeasured(text)) continue;
		const read = readNumber(text);
		if (typeof read === 'string') {
			told(`${key}: ${read}`);
			continue;
		}
		// "Less than" a limit of detection: nothing that counts.
		const value = read.qualifier === '<' ? 0 : read.value / (key === 'ec' ? (PER_DS_M[unit] ?? 1) : 1);
		const { minimum, maximum } = waterValueLimits(key);
		if (read.qualifier !== '<' && (value < minimum || value > maximum)) {
			told(`${key}: “${text}” must be from ${minimum} to ${maximum}`);
		} else if (value >= minimum) values[key] = value;
	}
	return values;
}

function dayOf(text: string, today: string, told: (message: string) => void): string {
	const problems: CellProblem[] = [];
	const day = readDate({ column: 0, text }, 'month-day-year', problems);
	if (day === undefined) told(`the day “${text}” must be written as 2027-05-01`);
	else if (day > today) told(`${day} is still to come`);
	return day ?? today;
}
