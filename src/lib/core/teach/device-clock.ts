/** A clock that is further off than this is put right; the rest is the way of the message. Judged. */
const CLOCK_OFF_MS = 5 * 60_000;
/** No device keeps a class so long before it is sent; one that says so had another year. Judged. */
const LONGEST_KEPT_MS = 400 * 24 * 3600_000;

/** When something happened, by the server's clock. */
export interface PutRight {
	at: number;
	/** The device's own time could not be, or its clock is off. */
	isPutRight: boolean;
}

/**
 * When something began that a device tells of, by the server's clock: the device's clock may stand in another year. All in
 * milliseconds since 1970.
 *
 * @param said when it began, as the device says
 * @param deviceNow what the device's clock showed when it sent this
 * @param now what the server's clock shows
 * @param lastedMs how long it has gone on at least: where no clock helps it began so long ago
 */
export function putRight(said: number, deviceNow: number, now: number, lastedMs: number): PutRight {
	const aheadMs = deviceNow - now;
	const isOff = Math.abs(aheadMs) > CLOCK_OFF_MS;
	const at = isOff ? said - aheadMs : said;
	const canBe = at <= now + CLOCK_OFF_MS && at >= now - LONGEST_KEPT_MS;
	return canBe ? { at, isPutRight: isOff } : { at: now - lastedMs, isPutRight: true };
}
