import { program } from './program.js';
import { readStandardInput, readText } from './input.js';

const { exitCode } = await program({
  write: (text) => process.stdout.write(text),
  complain: (text) => process.stderr.write(text),
  readText,
  readStandardInput,
}).run(process.argv.slice(2));
process.exitCode = exitCode;
