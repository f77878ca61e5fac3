import type { Studio } from '$lib/server/studio/studios';

declare global {
	namespace App {
		interface Locals {
			teacher: { id: string; name: string; email: string } | null;
			studio: Studio | null;
			/** Set when a page failed because the database does not answer. */
			databaseAway?: boolean;
		}
		interface Error {
			message: string;
			/** Names the log entry of an error that was not expected. */
			reference?: string;
		}
	}
}

export {};
