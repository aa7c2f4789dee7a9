import type { MetadataRoute } from 'next';

/** What a browser needs to put Evarn among the programs of a machine. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Evarn',
    short_name: 'Evarn',
    description: 'The workbench record of someone who reworks official brick sets.',
    start_url: '/',
    display: 'standalone',
    background_color: '#f4f4f4',
    theme_color: '#f4f4f4',
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
  };
}
