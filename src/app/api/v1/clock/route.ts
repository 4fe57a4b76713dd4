import { route } from '@/server/route';

export const dynamic = 'force-dynamic';

/** The server's clock, so that a device can tell how wrong its own is. */
export const GET = route('public', () => Promise.resolve(Response.json({ serverMs: Date.now() })));
