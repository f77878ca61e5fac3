import { roomNow, type RoomNow } from '$lib/core/teach';
import type { TeachingSession } from './teaching-session.svelte';

const CHANNEL = 'humble-orbit-room';

/** Shows the room on this machine where the class is, each time it is called. */
export class RoomSender {
	private readonly channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(CHANNEL);

	send(run: TeachingSession): void {
		this.channel?.postMessage(roomNow(run.now, run.state.mode, run.pack.figures));
	}

	close(): void {
		this.channel?.close();
	}
}

/** After so long without a word from the teacher's page it counts as gone. */
const LOST_MS = 3000;

/** Hears where the class is. `tell` gets null when the teacher's page is lost. Returns what ends it. */
export function listenInRoom(tell: (now: RoomNow | null) => void): () => void {
	if (typeof BroadcastChannel === 'undefined') return () => undefined;
	const channel = new BroadcastChannel(CHANNEL);
	let timer: ReturnType<typeof setTimeout> | undefined;
	channel.onmessage = ({ data }: MessageEvent<RoomNow>) => {
		clearTimeout(timer);
		timer = setTimeout(() => tell(null), LOST_MS);
		tell(data);
	};
	return () => {
		clearTimeout(timer);
		channel.close();
	};
}
