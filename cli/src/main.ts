import { program } from './program.js';
import { readStandardInput, readText } from './input.js';
import { runDataProgram } from './dataProgram.js';

const { exitCode } = await program({
  write: (text) => process.stdout.write(text),
  complain: (text) => process.stderr.write(text),
  readText,
  readStandardInput,
  runDataProgram,
}).run(process.argv.slice(2));
process.exitCode = exitCode;
