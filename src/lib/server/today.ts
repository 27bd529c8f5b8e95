import { format } from 'date-fns';

/** Today as YYYY-MM-DD on this machine's clock; COSECHA_TODAY stands in for it in tests and the demo pictures. */
export function today(): string {
	return process.env.COSECHA_TODAY ?? format(new Date(), 'yyyy-MM-dd');
}
