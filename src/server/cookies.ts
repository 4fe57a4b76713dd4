import { cookies } from 'next/headers';
import { DAY_MS } from '@/core/units/time';
import { SESSION_LASTS_MS } from './db/rows/devices';

/** What a paired device keeps: as long as browsers keep anything. */
export const DEVICE_COOKIE = '__Host-device';
/** What says who is signed in on it. */
export const SESSION_COOKIE = '__Host-session';
const DEVICE_LASTS_MS = 400 * DAY_MS;

const CLOSED = { httpOnly: true, secure: true, sameSite: 'lax' } as const;

/** Has the browser keep that it is paired. */
export const keepDevice = async (token: string): Promise<void> => {
  (await cookies()).set(DEVICE_COOKIE, token, { ...CLOSED, path: '/', maxAge: DEVICE_LASTS_MS / 1000 });
};

/** Has the browser keep that somebody is signed in. */
export const keepSession = async (token: string): Promise<void> => {
  (await cookies()).set(SESSION_COOKIE, token, { ...CLOSED, path: '/', maxAge: SESSION_LASTS_MS / 1000 });
};

/** Has the browser forget who was signed in. */
export const dropSession = async (): Promise<void> => {
  (await cookies()).set(SESSION_COOKIE, '', { ...CLOSED, path: '/', maxAge: 0 });
};

/** Where a link of a client leads, and the only path on which its secret is sent. */
export const linkPath = (linkId: string): string => `/yours/${linkId}`;
const LINK_COOKIE = '__Secure-link';

/** Has the browser keep the secret of a link, for the pages of that link alone. */
export const keepLink = async (linkId: string, token: string, lastsMs: number): Promise<void> => {
  (await cookies()).set(LINK_COOKIE, token, {
    ...CLOSED,
    path: linkPath(linkId),
    maxAge: Math.floor(lastsMs / 1000),
  });
};

export const linkToken = async (): Promise<string | undefined> => (await cookies()).get(LINK_COOKIE)?.value;
