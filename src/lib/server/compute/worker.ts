import { TASKS, type Tasks } from './tasks';

/** Where this module is, so that a thread can be started with it, in the built server as in development. */
export const here = import.meta.url;

/** What a thread does: one task of the list. */
export function work({ task, input }: { task: keyof Tasks; input: unknown }): unknown {
	return (TASKS[task] as (input: unknown) => unknown)(input);
}
