import { TOKEN } from '$lib/server/accepted';
import { compute } from '$lib/server/compute/pool';
import { db, isClosing } from '$lib/server/db';
import { studioOfRequest } from '$lib/server/endpoint';
import { newListener, roomNews } from '$lib/server/room-feed';
import { logError } from '$lib/server/log';
import { movementsFor, studioCatalogue } from '$lib/server/studio-catalogue';
import type { RequestHandler } from './$types';

const EVERY_MS = 1000;

/**
 * What goes on in the room, for a second device of the studio, as server-sent events: one each second, each a `RoomNews`.
 * `?run=` follows that class where it goes on. It ends with the connection or with the server.
 */
export const GET: RequestHandler = ({ url, request, locals }) => {
	const { id: studioId } = studioOfRequest(locals);
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
	const stop = () => clearTimeout(timer);
	const stream = new ReadableStream<Uint8Array>({
		start(controller) {
			const tell = async () => {
				if (isClosing() || request.signal.aborted) return controller.close();
				try {
					const news = await roomNews(db(), studioId, listener, draw);
					controller.enqueue(encoder.encode(`data: ${JSON.stringify(news)}\n\n`));
				} catch (thrown) {
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
