import { InputError } from '$core/check/problem';
import { validator } from '$core/check/validator';
import type { StationAction } from '$core/schema-types';
import { answerJson } from '$lib/server/http/answer';
import { currentLibrary } from '$lib/server/current-library';
import { useStation } from '$lib/server/stores/stations';
import { theBook } from '$lib/server/the-book';
import type { RequestHandler } from './$types';

const asStation = validator<StationAction>('actions#/definitions/StationAction');

export const POST: RequestHandler = ({ request }) =>
	answerJson(request, asStation, ({ station }) => {
		const { stations } = currentLibrary();
		const found = stations.find(({ id }) => id === station);
		if (!found) {
			const known = stations.map(({ id }) => id).join(', ');
			throw new InputError([{ path: '/station', message: `"${station}" is no station; known: ${known}` }]);
		}
		useStation(theBook(), found);
	});
