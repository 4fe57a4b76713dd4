import { loadCalendar } from '@/places/studio/queries';
import { calendarText } from '@/server/calendar';
import { asking } from '@/server/asking';
import { AppError } from '@/server/errors';
import { route } from '@/server/route';

/** Care and bookings of the studio for a calendar on this computer; one elsewhere gets nothing. */
export const GET = route<{ key: string }>('read', async (_, { key }) => {
  const calendar = asking().door === 'computer' ? await loadCalendar(key) : null;
  if (!calendar) throw new AppError('not-found');
  return new Response(calendarText(calendar.name, calendar.events), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'inline; filename="care.ics"',
      'cache-control': 'no-store',
    },
  });
});
