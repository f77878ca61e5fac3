// The web server in production: as many processes as there are cores (at most four), each with the built app behind the
// headers and limits below. `serve.mjs` starts it; DATABASE_URL, ORIGIN, AUTH_SECRET, HOST and PORT come from outside.
import compression from 'compression';
import cluster from 'node:cluster';
import http from 'node:http';
import { availableParallelism } from 'node:os';
import process from 'node:process';
import { setTimeout as wait } from 'node:timers/promises';

/** Larger requests are refused before they are read. A series of 26 weeks with three classes each has under 1 MB. */
const MOST_BODY_BYTES = 5_000_000;
/** Whatever a request does, it is answered within this time. */
const ANSWER_SECONDS = 30;
/** Requests under way get this long to end when the server stops; after STOP_SECONDS it has stopped. */
const GRACE_SECONDS = 2;
const STOP_SECONDS = 4;
/** EX_CONFIG of sysexits.h: the environment is wrong, and starting again would not help. */
const WRONG_CONFIGURATION = 78;
/** EX_TEMPFAIL of sysexits.h: what it needs is not there, such as the database. */
const CANNOT_START = 75;

const MOST_PROCESSES = 4;
const wanted = Number(process.env.ORBIT_PROCESSES ?? '') || availableParallelism();

if (cluster.isPrimary) runProcesses(Math.max(1, Math.min(MOST_PROCESSES, wanted)));
else await answer();

/** Keeps `count` processes running, and ends with them. */
function runProcesses(count) {
	let stopping = false;
	const running = new Set();
	const begin = () => {
		const child = cluster.fork();
		running.add(child);
		const from = Date.now();
		child.once('exit', async (code) => {
			running.delete(child);
			if (stopping) {
				if (running.size === 0) process.exit(process.exitCode ?? 0);
				return;
			}
			// one that ends before it answered anything would only do so again
			if (code === WRONG_CONFIGURATION || !child.answering) return stop(code || 1);
			if (Date.now() - from < 1000) await wait(1000);
			if (!stopping) begin();
		});
		child.on('message', (message) => (child.answering ||= message === 'answering'));
	};
	const stop = (code = 0) => {
		if (stopping) return;
		stopping = true;
		process.exitCode = code;
		for (const child of running) child.process.kill('SIGTERM');
		// a process that is busy hears no signal
		setTimeout(() => {
			for (const child of running) child.process.kill('SIGKILL');
			setTimeout(() => process.exit(code), 200);
		}, STOP_SECONDS * 1000);
		if (running.size === 0) process.exit(code);
	};
	for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => stop());
	for (let i = 0; i < count; i++) begin();
}

async function answer() {
	process.env.BODY_SIZE_LIMIT = String(MOST_BODY_BYTES);
	const { handler } = await loaded();
	// pages and answers; the files of the app lie there compressed already
	const squeeze = compression();
	const https = (process.env.ORIGIN ?? '').startsWith('https:');
	const server = http.createServer({ headersTimeout: 15_000, requestTimeout: ANSWER_SECONDS * 1000 });
	server.on('request', (request, response) => {
		for (const [name, value] of headers(https)) response.setHeader(name, value);
		if (Number(request.headers['content-length']) > MOST_BODY_BYTES)
			return refuseBody(request, response, 413, 'This is too large to be sent.');
		// browsers say how long a body is; what does not could only be refused when it is too late to say so
		if (request.headers['transfer-encoding'])
			return refuseBody(request, response, 411, 'The request does not say how long it is.');
		const timer = setTimeout(() => {
			if (!response.headersSent) refuse(response, 503, 'This took too long. Nothing is lost; try again.');
			else response.destroy();
		}, ANSWER_SECONDS * 1000);
		response.once('close', () => clearTimeout(timer));
		// a body that nobody asked for is read past, so that the connection can be used again
		response.once('finish', () => request.complete || request.removeAllListeners('data').resume());
		squeeze(request, response, () =>
			handler(request, response, () => refuse(response, 404, 'There is nothing at this address.'))
		);
	});
	server.listen(Number(process.env.PORT ?? 3000), process.env.HOST ?? '127.0.0.1', () =>
		process.send?.('answering')
	);
	for (const signal of ['SIGINT', 'SIGHUP']) process.on(signal, () => {}); // the first process says when
	process.once('SIGTERM', () => stopAnswering(server));
	process.once('disconnect', () => process.exit(0));
}

/** The built app; where the environment is wrong, or no database is there, the end of the process with a sentence. */
async function loaded() {
	const { ORIGIN } = process.env;
	if (ORIGIN !== undefined && !URL.canParse(ORIGIN)) {
		console.error(
			'Humble Orbit cannot start:\n  ORIGIN must be the address under which people open the app, such as https://orbit.example.'
		);
		process.exit(WRONG_CONFIGURATION);
	}
	try {
		return await import('../build/handler.js');
	} catch (error) {
		const { code, cause } = error;
		const why = code ?? cause?.code ?? error.name;
		console.error(`Humble Orbit cannot start: ${String(error.message).split('\n')[0]} (${why})`);
		process.exit(CANNOT_START);
	}
}

function stopAnswering(server) {
	const ended = () => {
		process.emit('sveltekit:shutdown', 'SIGTERM'); // closes the database
		setTimeout(() => process.exit(0), 300);
	};
	server.close(ended);
	server.closeIdleConnections();
	setTimeout(() => server.closeAllConnections(), GRACE_SECONDS * 1000);
}

/** Returns the headers of every answer, app files included; no cache keeps the pages of a studio. */
function headers(https) {
	return [
		['x-content-type-options', 'nosniff'],
		['referrer-policy', 'same-origin'],
		['x-frame-options', 'DENY'],
		['cross-origin-opener-policy', 'same-origin'],
		['cross-origin-resource-policy', 'same-origin'],
		[
			'permissions-policy',
			'accelerometer=(self), gyroscope=(self), screen-wake-lock=(self), fullscreen=(self), ' +
				'camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), midi=()'
		],
		['cache-control', 'private, no-store'],
		...(https ? [['strict-transport-security', 'max-age=31536000; includeSubDomains']] : [])
	];
}

/** Reads on, or the answer would never be seen by who is still sending; but not for ever. */
function refuseBody(request, response, status, message) {
	let left = 4 * MOST_BODY_BYTES;
	request.on('data', (data) => (left -= data.length) < 0 && request.destroy());
	request.once('end', () => refuse(response, status, message));
}

function refuse(response, status, message) {
	response.writeHead(status, { 'content-type': 'application/json', connection: 'close' });
	response.end(JSON.stringify({ message }));
}
