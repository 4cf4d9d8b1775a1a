import { build, install, root, serve } from './steps.mjs';

install();
build();
serve({
  KOBRAN_DEMO: '1',
  KOBRAN_DATA: process.env.KOBRAN_DATA ?? `${root}.kobran/demo`,
  KOBRAN_LOG: process.env.KOBRAN_LOG ?? 'warn',
});
