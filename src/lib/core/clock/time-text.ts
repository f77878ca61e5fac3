/** m:ss, or h:mm:ss from an hour on; a minus sign for negative seconds. Never decimals. */
export function formatDuration(seconds: number): string {
	const whole = Math.round(Math.abs(seconds));
	const s = String(whole % 60).padStart(2, '0');
	const minutes = Math.floor(whole / 60);
	const text =
		minutes < 60
			? `${minutes}:${s}`
			: `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}:${s}`;
	return seconds < 0 && whole > 0 ? `−${text}` : text;
}

/** Time on the studio's clock: "HH:MM", `seconds` after a start given as "HH:MM". */
export function clockTime(startsAt: string, seconds: number): string {
	const [h = '0', m = '0'] = startsAt.split(':');
	const minutes = (Number(h) * 60 + Number(m) + Math.floor(seconds / 60)) % 1440;
	return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}

/** A time as people type it ("18:30", "6.40", "0640", "7") as "HH:MM"; null when it is none. */
export function readTime(text: string): string | null {
	const match = /^\s*(\d{1,2})(?:[:.h ]?(\d{2}))?\s*$/.exec(text);
	if (!match) return null;
	const [hours, minutes] = [Number(match[1]), Number(match[2] ?? 0)];
	if (hours > 23 || minutes > 59) return null;
	return `${String(hours).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`;
}
