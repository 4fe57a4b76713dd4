import type { MetadataRoute } from 'next';

/** What a phone or tablet needs to put the program among its own. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Keen Spiral',
    short_name: 'Keen Spiral',
    description: 'Plan a natural-hair set, run it at the chair, and know when it is dry.',
    start_url: '/',
    display: 'standalone',
    background_color: '#2b1a14',
    theme_color: '#2b1a14',
    icons: [
      { src: '/icon.svg', type: 'image/svg+xml', sizes: 'any' },
      { src: '/icon-192.png', type: 'image/png', sizes: '192x192' },
      { src: '/icon-512.png', type: 'image/png', sizes: '512x512' },
      { src: '/icon-maskable-512.png', type: 'image/png', sizes: '512x512', purpose: 'maskable' },
    ],
  };
}
