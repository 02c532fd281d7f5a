import type { MetadataRoute } from 'next';

/** What a phone needs to put the garden beside its other programs. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Turnspit',
    short_name: 'Turnspit',
    description: 'Plans a garden trial, takes its harvests and judges it honestly.',
    start_url: '/',
    display: 'standalone',
    background_color: '#edf1ee',
    theme_color: '#edf1ee',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
  };
}
