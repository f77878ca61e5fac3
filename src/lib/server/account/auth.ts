import { building, dev } from '$app/environment';
import { env } from '$env/dynamic/private';
import { hash, verify } from '@node-rs/argon2';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { betterAuth } from 'better-auth/minimal';
import { parseSetCookieHeader, toCookieOptions } from 'better-auth/cookies';
import type { RequestEvent } from '@sveltejs/kit';
import { db } from '../db';
import * as schema from '../db/auth-schema';

const DAY_SECONDS = 24 * 3600;

function create() {
	if (building) throw new Error('accounts are not available while building');
	return betterAuth({
		appName: 'Humble Orbit',
		baseURL: env.ORIGIN,
		secret: env.AUTH_SECRET,
		trustedOrigins: env.ORIGIN ? [env.ORIGIN] : [],
		telemetry: { enabled: false },
		// its messages may hold addresses: what goes wrong is logged by us, without them
		logger: { disabled: true },
		database: drizzleAdapter(db(), {
			provider: 'mysql',
			schema: {
				user: schema.teacher,
				session: schema.session,
				account: schema.account,
				verification: schema.verification,
				rateLimit: schema.rateLimit
			},
			transaction: true
		}),
		emailAndPassword: {
			enabled: true,
			minPasswordLength: 10,
			maxPasswordLength: 128,
			// so that opening an account answers alike whether or not the address has one
			autoSignIn: false,
			password: { hash: hashPassword, verify: ({ hash: known, password }) => verify(known, password) }
		},
		session: {
			expiresIn: 14 * DAY_SECONDS,
			updateAge: DAY_SECONDS,
			cookieCache: { enabled: false }
		},
		rateLimit: {
			enabled: !dev,
			storage: 'database',
			window: 60,
			max: 100,
			customRules: {
				'/sign-in/email': { window: 60, max: 10 },
				'/sign-up/email': { window: 60, max: 5 }
			}
		},
		advanced: {
			cookiePrefix: 'orbit',
			useSecureCookies: env.ORIGIN?.startsWith('https://') ?? false,
			ipAddress: { ipAddressHeaders: ['x-client-ip'] }
		}
	});
}

/** argon2id with the package's parameters (19 MiB, 2 passes, 1 lane), which are OWASP's. */
export function hashPassword(password: string): Promise<string> {
	return hash(password);
}

let instance: ReturnType<typeof create> | undefined;

/** Created at first use: a build needs no database and no secret. */
export const auth = () => (instance ??= create());

/** The library's own request path, with the address as the adapter sees it and never one that the client sent. */
function authRequest(event: RequestEvent, request: Request): Promise<Response> {
	const headers = new Headers(request.headers);
	headers.set('x-client-ip', event.getClientAddress());
	return auth().handler(new Request(request, { headers }));
}

/**
 * Posts to the library as a browser would, since its rate limit only counts requests to its own paths,
 * and hands its cookies on.
 */
export async function postAuth(
	event: RequestEvent,
	path: string,
	body: Record<string, string>
): Promise<Response> {
	const request = new Request(new URL(`/api/auth${path}`, event.url), {
		method: 'POST',
		headers: {
			'content-type': 'application/json',
			origin: event.url.origin,
			cookie: event.request.headers.get('cookie') ?? ''
		},
		body: JSON.stringify(body)
	});
	const response = await authRequest(event, request);
	const cookies = parseSetCookieHeader(response.headers.get('set-cookie') ?? '');
	for (const [name, attributes] of cookies)
		event.cookies.set(name, attributes.value, { ...toCookieOptions(attributes), path: '/' });
	return response;
}
