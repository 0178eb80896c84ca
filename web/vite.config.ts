import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { declarations } from './src/app/tokens.ts';

/** Puts the colours in front of the base style sheet, so that they stand in one place. */
const tokens: Plugin = {
  name: 'tokens',
  enforce: 'pre',
  transform: (code, id) =>
    id.endsWith('/app/base.css') ? `:root {\n  ${declarations()}\n}\n${code}` : undefined,
};

export default defineConfig({
  root: import.meta.dirname,
  plugins: [tokens, react()],
  // A class keeps its own name in front, so that a page can be read in the browser's tools.
  css: { modules: { generateScopedName: '[local]_[hash:base64:5]' } },
  build: { target: 'es2022', chunkSizeWarningLimit: 1200, assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://localhost:4680' } },
});
