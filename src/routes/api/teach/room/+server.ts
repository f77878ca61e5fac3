import { TOKEN } from '$lib/server/http/accepted';
import { compute } from '$lib/server/compute/pool';
import { db, isClosing } from '$lib/server/db';
import { studioOfRequest } from '$lib/server/http/endpoint';
import { newListener, RoomFeed } from '$lib/server/record/room-feed';
import { logError } from '$lib/server/start/log';
import { movementsFor, studioCatalogue } from '$lib/server/studio/studio-catalogue';
import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

const EVERY_MS = 1000;
/** Devices that listen at once, in one studio and on one process: far more than rooms have. */
const MOST_OF_STUDIO = 20;
const MOST_LISTENERS = 200;

let feed: RoomFeed | undefined;
/** How many listen now, by their studio. */
const listening = new Map<string, number>();
const all = () => [...listening.values()].reduce((sum, n) => sum + n, 0);

/**
 * Streams the class in the room to a second device of the studio as server-sent events: one `RoomNews` each second.
 * `?run=` follows that class while it continues. It ends with the connection or with the server. 503 where too many
 * listen.
 */
export const GET: RequestHandler = ({ url, request, locals }) => {
	const { id: studioId } = studioOfRequest(locals);
	const now = listening.get(studioId) ?? 0;
	if (now >= MOST_OF_STUDIO || all() >= MOST_LISTENERS)
		error(503, 'Too many devices show the room. Close one of them.');
	const wanted = url.searchParams.get('run');
	const listener = newListener(wanted && TOKEN.test(wanted) ? wanted : null);
	const draw = async (keys: string[]) =>
		compute(
			'drawings',
			{ keys, movements: movementsFor(await studioCatalogue(db(), studioId), []) },
			request.signal
		);
	const encoder = new TextEncoder();
	let timer: ReturnType<typeof setTimeout> | undefined;
	listening.set(studioId, now + 1);
	let isOpen = true;
	const stop = () => {
		clearTimeout(timer);
		if (!isOpen) return;
		isOpen = false;
		const left = (listening.get(studioId) ?? 1) - 1;
		if (left > 0) listening.set(studioId, left);
		else listening.delete(studioId);
	};
	request.signal.addEventListener('abort', stop);
	const stream = new ReadableStream<Uint8Array>({
		start(controller) {
			const tell = async () => {
				if (isClosing() || request.signal.aborted) {
					stop();
					return controller.close();
				}
				try {
					const news = await (feed ??= new RoomFeed(db())).news(studioId, listener, draw);
					controller.enqueue(encoder.encode(`data: ${JSON.stringify(news)}\n\n`));
				} catch (thrown) {
					stop();
					if (request.signal.aborted || isClosing()) return;
					// the browser asks again
					logError('room', 'GET /api/teach/room', thrown);
					return controller.close();
				}
				timer = setTimeout(() => void tell().catch(stop), EVERY_MS);
			};
			void tell().catch(stop);
		},
		cancel: stop
	});
	return new Response(stream, {
		headers: {
			'content-type': 'text/event-stream',
			// each line goes out at once, not when enough of them can be packed together
			'cache-control': 'no-store, no-transform'
		}
	});
};
