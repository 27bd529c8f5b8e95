import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import { readWeatherCsv } from '$core/season/weather/read-weather-csv';
import type { WeatherFile } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { addWeather } from '$lib/server/stores/stations';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asFile = validator<WeatherFile>('weather#/definitions/WeatherFile');

/** Takes in a daily weather file: all of its days, or none. */
export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asFile, ({ name, latitude, units, csv }) => {
		const { days, faults } = readWeatherCsv(csv, units);
		if (faults.length > 0) {
			throw new InputError(faults.map(({ line, message }) => ({ path: `line ${line}`, message })));
		}
		return addWeather(theBook(), name.trim(), latitude, days);
	});
