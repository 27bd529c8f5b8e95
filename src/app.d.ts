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
	}
}

export {};
