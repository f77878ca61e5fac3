import * as sessions from '../../sessions/[session]/+server';

// a device that still has a page of an earlier version sends its class here
export const GET = sessions.GET;
export const POST = sessions.POST;
