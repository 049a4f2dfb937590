// npm run --silent solve -- CASE.json: prints one JSON object; an error object and exit code 1 when it cannot.
import { readFileSync } from 'node:fs';
import { springCaseSchema } from '@/contracts/springCase';
import { CoreError } from '@/core/errors';
import { solveCase } from '@/core/springCase/springCase';

function fail(code: string, message: string, field?: string): never {
  console.log(JSON.stringify({ format: 'spring-error/1', code, message, ...(field === undefined ? {} : { field }) }));
  process.exit(1);
}

const [file] = process.argv.slice(2);
if (!file) fail('usage', 'usage: npm run --silent solve -- CASE.json');
let json: unknown;
try {
  json = JSON.parse(readFileSync(file, 'utf8'));
} catch (error) {
  fail('unreadable', error instanceof Error ? error.message : String(error));
}
const parsed = springCaseSchema.safeParse(json);
if (!parsed.success) {
  const issue = parsed.error.issues[0];
  fail('bad-input', issue?.message ?? 'not a spring case', issue?.path.join('.'));
}
try {
  console.log(JSON.stringify(solveCase(parsed.data)));
} catch (error) {
  if (!(error instanceof CoreError)) throw error;
  fail(error.code, error.message, error.field);
}
