import { route } from '@/server/route';
import { version } from '@/server/version';

export const dynamic = 'force-dynamic';

/** Whether the program answers; it asks nothing of anybody. */
export const GET = route('public', () => Promise.resolve(Response.json({ ok: true, version })));
