import { dev } from '$app/environment';
import { error } from '@sveltejs/kit';
import { Piscina } from 'piscina';
import type { Tasks, RunTask } from './tasks';

/** A class of 300 items takes under a tenth of a second; what takes this long has gone wrong. */
const MOST_SECONDS = 5;
/** Tasks that may wait; more are answered with 503 at once. */
const MOST_WAITING = 64;

let pool: Promise<Piscina> | undefined;

/** One thread a process, made at first use: the processes are as many as the cores. */
function threads(): Promise<Piscina> {
	return (pool ??= import('./worker').then(
		({ here, work }) =>
			new Piscina({
				filename: here,
				name: work.name,
				minThreads: 1,
				maxThreads: 1,
				maxQueue: MOST_WAITING,
				...(dev ? { execArgv: ['--import', 'tsx'] } : {})
			})
	));
}

/**
 * Works a task out beside the requests, so that none of them waits for it. 503 where too many wait or where it takes
 * over five seconds; a request that was given up takes its task with it.
 */
export async function compute<T extends keyof Tasks>(
	task: T,
	input: Parameters<Tasks[T]>[0],
	givenUp: AbortSignal
): Promise<ReturnType<Tasks[T]>> {
	const signal = AbortSignal.any([givenUp, AbortSignal.timeout(MOST_SECONDS * 1000)]);
	try {
		return (await (await threads()).run({ task, input }, { signal })) as ReturnType<Tasks[T]>;
	} catch (thrown) {
		if (givenUp.aborted) error(499, 'The request was cancelled.');
		if (signal.aborted) error(503, 'This takes too long to compute. Nothing is lost; try again.');
		if ((thrown as Error).message === 'Task queue is at limit')
			error(503, 'The server is busy. Try again in a moment.');
		throw thrown;
	}
}

/** Works out in a thread what belongs to a request. */
export const workFor =
	(request: Request): RunTask =>
	(task, input) =>
		compute(task, input, request.signal);

export async function closePool(): Promise<void> {
	await (await pool)?.destroy();
}
