import type { MetadataRoute } from 'next';
import { COLOURS } from '@/ui/colours';

/** What a tablet needs to keep Strickle among its own programmes. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Strickle',
    short_name: 'Strickle',
    description: 'Plans, guides and remembers wax and sugar hair removal.',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: COLOURS.muslin,
    theme_color: COLOURS.muslin,
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
  };
}
