/** A browser's requests without a browser, for attacks on a server of our own. */
export class Client {
	private cookies = new Map<string, string>();

	constructor(readonly origin: string) {
		// attacks go to this machine and to no other
		if (new URL(origin).hostname !== '127.0.0.1') throw new Error('attacks stay on loopback');
	}

	async request(path: string, init: RequestInit = {}): Promise<Response> {
		const headers = new Headers(init.headers);
		if (this.cookies.size) headers.set('cookie', [...this.cookies].map((pair) => pair.join('=')).join('; '));
		if (!headers.has('origin') && init.method && init.method !== 'GET') headers.set('origin', this.origin);
		const response = await fetch(this.origin + path, { redirect: 'manual', ...init, headers });
		for (const cookie of response.headers.getSetCookie()) {
			const [name, value] = cookie.split(';')[0]!.split('=');
			if (value) this.cookies.set(name!, value);
			else this.cookies.delete(name!);
		}
		return response;
	}

	get = (path: string): Promise<Response> => this.request(path);

	json(method: string, path: string, body: unknown, headers: Record<string, string> = {}): Promise<Response> {
		return this.request(path, {
			method,
			headers: { 'content-type': 'application/json', 'idempotency-key': token(), ...headers },
			body: typeof body === 'string' ? body : JSON.stringify(body)
		});
	}

	/** Sends a form to an action; the answer says what became of it as JSON. */
	form(
		path: string,
		fields: Record<string, string>,
		headers: Record<string, string> = {}
	): Promise<Response> {
		return this.request(path, {
			method: 'POST',
			headers: {
				'content-type': 'application/x-www-form-urlencoded',
				'x-sveltekit-action': 'true',
				accept: 'application/json',
				...headers
			},
			body: new URLSearchParams(fields).toString()
		});
	}

	/** Opens an account and signs in with it. */
	async join(name: string, email: string, password: string): Promise<void> {
		await this.form('/sign-up', { name, email, password });
		const answer = await this.form('/sign-in?/enter', { email, password });
		const { type } = (await answer.json()) as { type: string };
		if (type !== 'redirect') throw new Error(`${email} could not sign in: ${type}`);
	}
}

let tokens = 0;
/** A token as a browser would make it for something new. */
export const token = (): string => `attack-token-${String(process.pid)}-${String(++tokens).padStart(8, '0')}`;
