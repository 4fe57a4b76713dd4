/**
 * Sets light or dark before anything is painted: as it was chosen on this device, else as the device has it. The names
 * are those under which the theme keeps its choice.
 */
export const SCHEME_SCRIPT = `(() => {
  let mode = 'system';
  try { mode = localStorage.getItem('mui-mode') || mode; } catch {}
  const isDark = mode === 'dark' || (mode === 'system' && matchMedia('(prefers-color-scheme: dark)').matches);
  document.documentElement.setAttribute('data-scheme', isDark ? 'dark' : 'light');
})();`;
