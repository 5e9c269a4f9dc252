import type { MetadataRoute } from 'next';

/** Lets a phone install Gorvin as an app. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Gorvin',
    short_name: 'Gorvin',
    description: 'What goes in which bag, whether it fits, and what stays at home.',
    start_url: '/',
    display: 'standalone',
    background_color: '#f5f1e6',
    theme_color: '#1f4d3d',
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
      { src: '/apple-icon.png', sizes: '192x192', type: 'image/png' },
    ],
  };
}
