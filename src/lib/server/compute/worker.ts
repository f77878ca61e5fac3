import { TASKS, type Tasks } from './tasks';

/** Where this module is, so that a thread can be started with it, in the built server as in development. */
export const here = import.meta.url;

/** Runs one task of the list in this thread. */
export function work({ task, input }: { task: keyof Tasks; input: unknown }): unknown {
	return (TASKS[task] as (input: unknown) => unknown)(input);
}
