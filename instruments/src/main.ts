import { instrumentKinds, type InstrumentKind } from '@kobran/core';
import { Argument, InvalidArgumentError, program } from 'commander';
import { benchFile } from './benchFile.js';
import { makeInstrument } from './instruments.js';
import { serve } from './scpi/serve.js';

const whole =
  (most: number) =>
  (text: string): number => {
    const value = Number(text);
    if (!Number.isInteger(value) || value < 0 || value > most)
      throw new InvalidArgumentError(`Give a whole number from 0 to ${most}.`);
    return value;
  };

program
  .name('instruments')
  .description('One instrument of the simulated bench, as SCPI text over TCP on this machine')
  .addArgument(new Argument('<kind>', 'which instrument').choices(instrumentKinds))
  .requiredOption('--bench <file>', 'the bench, a JSON file: what is measured')
  .option('--port <number>', 'TCP port; 0 for any free one', whole(65_535), 0)
  .option('--seed <number>', 'which one of many: how it errs', whole(1e6), 7)
  .action(async (kind: InstrumentKind, options: { bench: string; port: number; seed: number }) => {
    const model = makeInstrument(kind, benchFile(options.bench), options.seed);
    const { port } = await serve(model, options.port, process.env.KOBRAN_INSTRUMENT_TOKEN);
    process.stdout.write(`${kind} is at 127.0.0.1:${port}\n`);
    // Started by a server, it tells its port over the process channel and ends with it.
    if (process.send) {
      process.send({ port });
      process.on('disconnect', () => process.exit(0));
    }
  });

await program.parseAsync();
