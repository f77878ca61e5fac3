import { connect, type Socket } from 'node:net';
import { isClosing } from '../db';

const AGAIN_MS = 300;
const LOOPBACK = '127.0.0.1';
/** A line is some thirty characters; what has no end is no line. */
const MOST_CHARACTERS = 1000;

/**
 * Listens to the inclinometer that `INCLINOMETER_PORT` names (docs/inclinometer.md), and comes back to it when it was lost.
 *
 * @param ask what it is told to measure, each time it is reached
 * @param tell `line` with each line, `lost` once when it falls silent, `none` where there is none
 * @returns what ends it
 */
export function inclinometer(
	ask: string,
	tell: (event: 'line' | 'lost' | 'none', data: string) => void,
	ended: () => void
): () => void {
	const port = Number(process.env.INCLINOMETER_PORT);
	let over = false;
	let socket: Socket | undefined;
	let timer: ReturnType<typeof setTimeout> | undefined;
	let isLost = false;
	const stop = () => {
		over = true;
		clearTimeout(timer);
		socket?.destroy();
	};
	if (!port) {
		tell('none', '');
		ended();
		return stop;
	}
	let isAsked = false;
	const reach = () => {
		let open = '';
		socket = connect({ host: LOOPBACK, port });
		socket.setEncoding('utf8');
		socket.on('connect', () => {
			// the movement goes on where a connection was lost
			if (!isAsked) socket?.write(`${ask}\n`);
			isAsked = true;
		});
		socket.on('data', (text: string) => {
			isLost = false;
			const lines = (open + text).split('\n');
			open = (lines.pop() ?? '').slice(-MOST_CHARACTERS);
			for (const line of lines) if (!over) tell('line', line.slice(0, MOST_CHARACTERS));
		});
		socket.on('error', () => socket?.destroy());
		socket.on('close', () => {
			if (over) return;
			if (isClosing()) {
				stop();
				ended();
				return;
			}
			if (!isLost) tell('lost', '');
			isLost = true;
			timer = setTimeout(reach, AGAIN_MS);
		});
	};
	reach();
	return stop;
}
