import { loadCalendar } from '@/places/studio/queries';
import { calendarText } from '@/server/calendar';
import { AppError } from '@/server/errors';
import { route } from '@/server/route';

/** Names of this computer alone: a calendar elsewhere gets nothing. */
const HERE = ['127.0.0.1', 'localhost', '[::1]'];

/** Care and bookings of the studio for a calendar on this computer. */
export const GET = route<{ key: string }>('read', async (request, { key }) => {
  const host = (request.headers.get('host') ?? '').replace(/:\d+$/, '');
  const calendar = HERE.includes(host) ? await loadCalendar(key) : null;
  if (!calendar) throw new AppError('not-found');
  return new Response(calendarText(calendar.name, calendar.events), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'inline; filename="care.ics"',
      'cache-control': 'no-store',
    },
  });
});
