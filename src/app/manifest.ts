import type { MetadataRoute } from 'next';

/** What a phone needs to keep the studio on its home screen; it opens to what is at hand. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Jiten',
    short_name: 'Jiten',
    description: 'Glaze tests, kiln openings and the studio’s shared chart',
    start_url: '/',
    display: 'standalone',
    background_color: '#b1b1b1',
    theme_color: '#b1b1b1',
    icons: [
      { src: '/icons/192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icons/512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icons/512-round.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  };
}
