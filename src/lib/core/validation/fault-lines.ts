import type { Fault } from './faults';

/** Faults as lines for a person: `plan.sections[0].id: what is wrong`. */
export function faultLines(faults: readonly Fault[]): string[] {
	return faults.map(({ path, message }) =>
		path && !message.startsWith(path) ? `${path}: ${message}` : message
	);
}
