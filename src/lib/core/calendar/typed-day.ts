import { utc } from '@date-fns/utc';
import { format, isValid, parse } from 'date-fns';

/** The ways in which a day may be typed: it comes before the month, as it does wherever the app writes one. */
const TYPED_DAYS = [
	'EEE d LLL yyyy',
	'EEEE d LLLL yyyy',
	'd LLL yyyy',
	'd LLLL yyyy',
	'd.L.yyyy',
	'd/L/yyyy',
	'yyyy-LL-dd'
] as const;

const IN = { in: utc };
const isAlike = (a: string, b: string) => a.toLowerCase() === b.toLowerCase();

/** A day as people type it ("Tue 24 Nov 2026", "24 Nov 2026", "24.11.2026", "2026-11-24") as "2026-11-24"; null when it is none. */
export function readDay(text: string): string | null {
	const plain = text
		.trim()
		.replace(/\s+/g, ' ')
		.replace(/\bSept\b/i, 'Sep');
	for (const pattern of TYPED_DAYS) {
		const day = parse(plain, pattern, 0, IN);
		// a weekday that is another one than the day's is a slip in one of the two
		const agrees = () => !pattern.startsWith('E') || isAlike(format(day, pattern, IN), plain);
		if (isValid(day) && day.getFullYear() > 999 && agrees()) return day.toISOString().slice(0, 10);
	}
	return null;
}

/** The day that a calendar in the browser means, which counts in the browser's own zone. */
export const dayOfPicker = (date: Date): string => format(date, 'yyyy-LL-dd');
