import type { IncomingMessage } from 'node:http';
import type { Desk } from '$lib/server/desk';

declare global {
	namespace App {
		interface Error {
			message: string;
		}
		interface Locals {
			/** Made when a page first asks for it. */
			desk?: Desk;
		}
		/** Not there in a build's own requests. */
		interface Platform {
			req: IncomingMessage;
		}
	}
}

export {};
