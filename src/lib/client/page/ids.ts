/** A random id of 16 characters that is safe in a URL (96 bits), as the server makes them. */
export function newId(): string {
	const bytes = crypto.getRandomValues(new Uint8Array(12));
	return btoa(String.fromCharCode(...bytes))
		.replaceAll('+', '-')
		.replaceAll('/', '_');
}
