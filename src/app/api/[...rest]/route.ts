import { AppError } from '@/server/errors';
import { route } from '@/server/route';

const nothing = route<{ rest: string[] }>('public', () => Promise.reject(new AppError('not-found')));

/** An address that there is none of is told so like any other refusal, and no page is made for it. */
export { nothing as DELETE, nothing as GET, nothing as POST, nothing as PUT };
