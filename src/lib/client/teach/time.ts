/** The time of day at a moment where the device is, "19:58". */
export const timeOfMoment = (at: number): string =>
	new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
