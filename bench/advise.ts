import { advise } from '../src/core/rates/advise';
import { cornRequest, library } from '../src/core/testing.test-help';
import { medianMs } from './median-ms';

const request = cornRequest();
let rates = 0;
const ms = medianMs(400, () => {
	rates = advise(request, library, '2026-11-20').rates.length;
});
console.log(ms, rates);
