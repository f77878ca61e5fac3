// A stand-in for an inclinometer: a process of its own that speaks the line protocol of docs/inclinometer.md over loopback.
// It lets an invented person move a leg, with noise, drift and drop-outs.
import { createServer } from 'node:net';

/** Degrees that its person reaches, left and right: inside published ranges (docs/inclinometer.md). */
const REACHES = {
	'low-lunge-upright': [14, 16],
	'knee-to-chest': [118, 121],
	'figure-four-knee': [52, 55],
	'wide-stance-fold': [84, 84],
	'turning-in-prone': [31, 42],
	'turning-out-prone': [44, 46],
	'straight-leg-raise': [72, 74]
};
const EVERY_MS = 50;
/** One movement: at rest, on the way, held, back. */
const PHASES_MS = { rest: 1200, way: 900, held: 2600, back: 700 };
const MOVEMENT_MS = Object.values(PHASES_MS).reduce((sum, ms) => sum + ms, 0);
const NOISE_DEGREES = 0.25;
const DRIFT_DEGREES_PER_MINUTE = 0.4;
const BATTERY_PERCENT = 87;
/** Some movements reach a little more or less than others. */
const BETWEEN_MOVEMENTS = [0, 1.2, -0.8];

const begun = Date.now();
/** When its radio is silent, milliseconds since somebody asked to measure a left leg: from, for so long. */
const silent = (process.env.INCLINOMETER_SILENT ?? '6500+3000')
	.split(',')
	.map((part) => part.split('+').map(Number));
let asked = { reach: 0, at: begun };
let lefts = 0;

function angleAt(/** @type {number} */ now) {
	const since = now - asked.at;
	const inMovement = since % MOVEMENT_MS;
	const reach = asked.reach + BETWEEN_MOVEMENTS[Math.floor(since / MOVEMENT_MS) % BETWEEN_MOVEMENTS.length];
	const { rest, way, held, back } = PHASES_MS;
	const share =
		inMovement < rest
			? 0
			: inMovement < rest + way
				? (inMovement - rest) / way
				: inMovement < rest + way + held
					? 1
					: Math.max(0, 1 - (inMovement - rest - way - held) / back);
	const noise = (Math.random() * 2 - 1) * NOISE_DEGREES;
	return reach * share + noise + ((now - begun) / 60_000) * DRIFT_DEGREES_PER_MINUTE;
}

const isSilent = (/** @type {number} */ now) =>
	lefts > 0 && silent.some(([from = 0, ms = 0]) => now - lefts >= from && now - lefts < from + ms);

const server = createServer((socket) => {
	if (isSilent(Date.now())) return socket.destroy();
	socket.setEncoding('utf8');
	socket.on('error', () => socket.destroy());
	socket.on('data', (/** @type {string} */ text) => {
		for (const line of text.split('\n')) {
			const [word, test = '', leg] = line.trim().split(/\s+/);
			if (word !== 'measure') continue;
			const [left = 0, right = 0] = REACHES[/** @type {keyof typeof REACHES} */ (test)] ?? [];
			asked = { reach: leg === 'right' ? right : left, at: Date.now() };
			lefts = leg === 'left' ? asked.at : 0;
		}
	});
	const timer = setInterval(() => {
		const now = Date.now();
		if (isSilent(now)) return socket.destroy();
		socket.write(`t=${now - begun} angle=${angleAt(now).toFixed(2)} battery=${BATTERY_PERCENT}\n`);
	}, EVERY_MS);
	socket.on('close', () => clearInterval(timer));
});
server.listen(Number(process.env.INCLINOMETER_PORT), '127.0.0.1');
process.once('SIGTERM', () => process.exit(0));
