declare global {
	namespace App {
		interface Error {
			message: string;
		}
	}
}

export {};
