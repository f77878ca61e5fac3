import { TEST_IDS } from '$lib/core/hip-tests';
import { LEGS } from '$lib/core/anatomy';
import { studioOfRequest } from '$lib/server/http/endpoint';
import { inclinometer } from '$lib/server/record/inclinometer';
import { error } from '@sveltejs/kit';
import { string } from 'yup';
import type { RequestHandler } from './$types';

const testSchema = string().oneOf(TEST_IDS).required();
const legSchema = string().oneOf(LEGS).required();

/**
 * Streams the inclinometer beside the server as server-sent events: `line` for each of its lines, `lost` where it is
 * silent, `none` where there is none. `?test=` and `?leg=` say what is measured: 400 where there is no such thing.
 */
export const GET: RequestHandler = ({ url, request, locals }) => {
	studioOfRequest(locals);
	const test = url.searchParams.get('test') ?? TEST_IDS[0];
	const leg = url.searchParams.get('leg') ?? LEGS[0];
	if (!testSchema.isValidSync(test) || !legSchema.isValidSync(leg))
		error(400, 'There is no such test or leg.');
	const encoder = new TextEncoder();
	let stop = () => {};
	const stream = new ReadableStream<Uint8Array>({
		start(controller) {
			const tell = (event: string, data: string) =>
				controller.enqueue(encoder.encode(`event: ${event}\ndata: ${data}\n\n`));
			stop = inclinometer(`measure ${test} ${leg}`, tell, () => controller.close());
			request.signal.addEventListener('abort', stop);
		},
		cancel: () => stop()
	});
	return new Response(stream, {
		headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store, no-transform' }
	});
};
