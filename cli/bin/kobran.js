#!/usr/bin/env node
import { existsSync } from 'node:fs';

const built = new URL('../dist/main.js', import.meta.url);
if (!existsSync(built)) {
  process.stderr.write('Kobran is not built yet: run npm run build in the project first.\n');
  process.exit(1);
}
await import(built.href);
