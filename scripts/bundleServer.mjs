import { build } from 'vite';
import { root } from './steps.mjs';

/**
 * Puts the compiled server into one file for Node.js, `server/dist/kobran.js`: its 2000 modules are read in a third of the time. What starts
 * threads of its own or is one large file already stays outside.
 */
await build({
  configFile: false,
  root: `${root}server`,
  logLevel: 'warn',
  ssr: {
    noExternal: true,
    // As Node.js reads them: a second copy of a package would keep a register of its own.
    resolve: { mainFields: ['main'] },
    external: [
      '@electric-sql/pglite',
      '@kobran/core',
      '@node-rs/argon2',
      'pdfkit',
      'pg',
      'pino',
      'piscina',
      'selfsigned',
    ],
  },
  build: {
    ssr: 'dist/main.js',
    outDir: 'dist',
    emptyOutDir: false,
    minify: false,
    rollupOptions: { output: { entryFileNames: 'kobran.js', codeSplitting: false, keepNames: true } },
  },
});
