/** Only a path of this program: an address of elsewhere, however it is written, leads to Today. */
export function ownPath(to: string | undefined): string {
  if (to === undefined || !/^\/(?![/\\])/.test(to) || to.startsWith('/sign-in')) return '/';
  // What a browser makes of it decides: it drops tabs and line ends on the way.
  return URL.canParse(to, 'https://x') && new URL(to, 'https://x').origin === 'https://x' ? to : '/';
}
