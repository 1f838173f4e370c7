// `npm run -s plan -- case.json [--field]`: one case in, one plan out (docs/formats.md). A file, or - for standard
// input. Exit 0 with the plan on standard output; exit 2 with the error JSON on standard error and nothing on standard
// output.

import { readFileSync } from 'node:fs';
import { planVisit } from '../core/plan';
import { parseVisitCase, type SchemaFault } from '../formats/visitCaseSchema';

interface CliError {
  readonly code: string;
  readonly message: string;
  readonly details: readonly SchemaFault[];
}

function refuse(error: CliError): never {
  process.stderr.write(`${JSON.stringify({ error })}\n`);
  process.exit(2);
}

function readCase(file: string): unknown {
  let text: string;
  try {
    text = readFileSync(file === '-' ? 0 : file, 'utf8');
  } catch {
    return refuse({
      code: 'case.unreadable',
      message: 'The case file cannot be read.',
      details: [{ path: '', message: file }],
    });
  }
  try {
    return JSON.parse(text) as unknown;
  } catch (error) {
    return refuse({
      code: 'case.not-json',
      message: 'The case is not JSON.',
      details: [{ path: '', message: error instanceof Error ? error.message : 'unreadable' }],
    });
  }
}

function main(args: readonly string[]): void {
  const flags = args.filter((a) => a.startsWith('--'));
  const files = args.filter((a) => !a.startsWith('--'));
  const [file] = files;
  const unknown = flags.find((f) => f !== '--field');
  if (file === undefined || files.length > 1 || unknown !== undefined) {
    refuse({
      code: 'cli.usage',
      message: 'Use: npm run -s plan -- case.json [--field], or - for standard input.',
      details: [{ path: unknown ?? 'case.json', message: unknown ? 'unknown option' : 'one case file is needed' }],
    });
  }
  const parsed = parseVisitCase(readCase(file));
  if (!parsed.ok) refuse({ code: 'case.invalid', message: 'The case is not usable.', details: parsed.faults });
  const plan = planVisit(parsed.value, { withField: flags.includes('--field') });
  if (!plan.ok) refuse({ code: plan.error.code, message: plan.error.message, details: plan.error.details });
  process.stdout.write(`${JSON.stringify(plan.value, null, 2)}\n`);
}

main(process.argv.slice(2));
