/**
 * Sets light or dark before anything is painted: as it was chosen on this device, else as the device has it, also when
 * that changes at dusk. The names are those under which the theme keeps its choice.
 */
export const SCHEME_SCRIPT = `(() => {
  const device = matchMedia('(prefers-color-scheme: dark)');
  const paint = () => {
    let mode = 'system';
    try { mode = localStorage.getItem('mui-mode') || mode; } catch {}
    const isDark = mode === 'dark' || (mode === 'system' && device.matches);
    document.documentElement.setAttribute('data-scheme', isDark ? 'dark' : 'light');
  };
  paint();
  device.addEventListener('change', paint);
})();`;
