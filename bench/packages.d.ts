// The packages of bench/package.json are installed when the bench asks for them; this much of them is used.
declare module 'autocannon' {
	export default function autocannon(options: {
		url: string;
		connections: number;
		duration: number;
		requests: { path: string; headers: Record<string, string> }[];
		timeout: number;
	}): Promise<{ errors: number; timeouts: number; duration: number; requests: { total: number } }>;
}

declare module 'chrome-launcher' {
	export function launch(options: {
		chromePath: string;
		chromeFlags: string[];
	}): Promise<{ port: number; kill: () => void }>;
}

declare module 'lighthouse' {
	export const desktopConfig: object;
	export default function lighthouse(
		url: string,
		flags: object,
		config?: object
	): Promise<
		| {
				lhr: {
					categories: Record<
						string,
						{ score: number | null; auditRefs: { id: string; weight: number }[] } | undefined
					>;
					audits: Record<string, { score: number | null; numericValue?: number } | undefined>;
				};
		  }
		| undefined
	>;
}
