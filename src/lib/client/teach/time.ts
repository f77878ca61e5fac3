/** Made once: making one takes longer than all else of a tick. */
const HOURS_AND_MINUTES = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** A moment on this device's clock, "19:58". */
export const timeOfMoment = (ms: number): string => HOURS_AND_MINUTES.format(ms);
