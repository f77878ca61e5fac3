import { redirect } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A device that still has a page of an earlier version sends its class here: 308 to where it is taken now. */
export const POST: RequestHandler = ({ params }) => redirect(308, `/api/teach/sessions/${params.session}`);
