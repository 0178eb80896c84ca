import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { words } from '../setup/words.mjs';
import { COLORS, declarations, lookRules } from './src/app/tokens.ts';

/** Puts the colours in front of the base style sheet, so that they stand in one place. */
const tokens: Plugin = {
  name: 'tokens',
  enforce: 'pre',
  transform: (code, id) =>
    id.endsWith('/app/base.css') ? `:root {\n  ${declarations()}\n}\n${lookRules()}\n${code}` : undefined,
};

/** Makes the page one that a phone can install, with the worker that answers where there is no signal. It takes along what a student loads. */
const installable = VitePWA({
  strategies: 'injectManifest',
  srcDir: 'src/student',
  filename: 'worker.ts',
  injectRegister: false,
  // What is kept is what the page has loaded (`student/installed.ts`): the workbench is no part of it.
  injectManifest: { injectionPoint: undefined },
  manifestFilename: 'hurrow.webmanifest',
  manifest: {
    name: 'Hurrow',
    short_name: 'Hurrow',
    description: 'Trees: quizzes and notebook of your course, also without a signal.',
    start_url: '/',
    display: 'standalone',
    background_color: COLORS.sheet,
    theme_color: COLORS.ink,
    icons: [
      { src: '/mark-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/mark-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
    ],
  },
});

/**
 * Packs what travels as small as it goes, once: a tenth less than a server has time for with each answer. In a room without https browsers
 * take no Brotli, and thirty phones that come at once get what is packed already.
 */
const packed = compression({
  algorithms: ['brotliCompress', defineAlgorithm('gzip', { level: 9 })],
  include: /\.(js|css|json|svg)$/,
  threshold: 1000,
});

export default defineConfig({
  root: import.meta.dirname,
  plugins: [tokens, words(), react(), installable, packed],
  worker: { plugins: () => [words()] },
  // A class keeps its own name in front, so that a page can be read in the browser's tools.
  css: { modules: { generateScopedName: '[local]_[hash:base64:5]' } },
  build: { target: 'es2022', chunkSizeWarningLimit: 1200, assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://localhost:4680' } },
});
