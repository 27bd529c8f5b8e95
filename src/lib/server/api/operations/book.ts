import { InputError } from '../../../../core/check/problem';
import { readWeatherCsv } from '../../../../core/season/weather/read-weather-csv';
import type {
	CreatedAnswer,
	HouseRules,
	LabDraft,
	OutlookAction,
	SettingsAction,
	StationAction,
	TakenWeather,
	UndoAction,
	WeatherFile
} from '../../../../core/schema-types';
import { undo } from '../../book/act';
import { readApart } from '../../files/apart/read-apart';
import { commitImport } from '../../files/lab-file/commit-import';
import { setHouseRules } from '../../stores/house-rules';
import { discardImport, findImport, saveDraft, startImport } from '../../stores/lab-imports';
import { changeSettings } from '../../stores/settings';
import { addWeather, setOutlook, useStation } from '../../stores/stations';
import { DRAFT_EXAMPLE, WEATHER_EXAMPLE } from '../examples';
import { json, operation } from '../operation';

const LAB_FILE = { megabytes: 5, tooLarge: '; no lab file is. Is it the right one?' };

export const bookOperations = [
	operation('POST /api/undo', {
		summary: 'Undoes one change of the book',
		body: json<UndoAction>('actions#/definitions/UndoAction'),
		example: { event: 1 },
		run: ({ desk }, { event }) => undo(desk.book, event)
	}),
	operation('PATCH /api/settings', {
		summary: 'Changes units, who prepares the sheets, the size of loads, or how many backups are kept',
		body: json<SettingsAction>('actions#/definitions/SettingsAction'),
		example: { units: 'metric' },
		run: ({ desk }, change) => {
			const { preparedBy } = change;
			changeSettings(desk.book, { ...change, ...(preparedBy === undefined ? {} : { preparedBy: preparedBy.trim() }) });
		}
	}),
	operation('PUT /api/house-rules', {
		summary: 'Sets the adviser’s own rules',
		body: json<HouseRules>('house-rules'),
		example: { noGo: [] },
		run: ({ desk }, rules) => setHouseRules(desk.book, rules)
	}),
	operation('POST /api/imports', {
		summary: 'Takes a lab’s file as a draft; nothing of it is in the book until it is committed',
		file: LAB_FILE,
		answer: json<CreatedAnswer>('answers#/definitions/CreatedAnswer'),
		run: async ({ desk, gone }, _, file) => ({
			id: startImport(desk.book, file.name, await readApart('lab', { file }, gone))
		})
	}),
	operation('PUT /api/imports/{import}/draft', {
		summary: 'Keeps what was decided of a lab’s file so far',
		body: json<LabDraft>('lab-draft'),
		example: DRAFT_EXAMPLE,
		run: ({ params, desk }, draft) => saveDraft(desk.book, params.import, draft)
	}),
	operation('POST /api/imports/{import}/commit', {
		summary: 'Puts a lab’s file into the book, whole or not at all',
		body: json<Record<string, never>>('actions#/definitions/EmptyAction'),
		example: {},
		run: ({ params, desk }) => commitImport(desk.book, findImport(desk.book, params.import)!, desk.library.crops)
	}),
	operation('DELETE /api/imports/{import}', {
		summary: 'Throws the draft of an import away; one that is in the book stays',
		run: ({ params, desk }) => discardImport(desk.book, params.import)
	}),
	operation('POST /api/weather', {
		summary: 'Imports a daily weather file: all of its days, or none',
		body: json<WeatherFile>('weather#/definitions/WeatherFile'),
		answer: json<TakenWeather>('answers#/definitions/TakenWeather'),
		example: WEATHER_EXAMPLE,
		run: ({ desk }, { name, latitude, units, csv }) => {
			const { days, faults } = readWeatherCsv(csv, units);
			if (faults.length > 0) {
				throw new InputError(faults.map(({ line, message }) => ({ path: `line ${line}`, message })));
			}
			return addWeather(desk.book, name.trim(), latitude, days);
		}
	}),
	operation('PUT /api/weather/station', {
		summary: 'Says which station’s weather is used',
		body: json<StationAction>('actions#/definitions/StationAction'),
		example: { station: 'saltlick-common' },
		run: ({ desk }, { station }) => {
			const { stations } = desk.library;
			const found = stations.find(({ id }) => id === station);
			if (!found) {
				const known = stations.map(({ id }) => id).join(', ');
				throw new InputError([{ path: '/station', message: `"${station}" is no station; known: ${known}` }]);
			}
			useStation(desk.book, found);
		}
	}),
	operation('PUT /api/weather/outlook', {
		summary: 'Sets the rain that is expected; null goes back to the simulated one',
		body: json<OutlookAction>('actions#/definitions/OutlookAction'),
		example: { outlook: null },
		run: ({ desk }, { outlook }) => setOutlook(desk.book, outlook)
	})
] as const;
