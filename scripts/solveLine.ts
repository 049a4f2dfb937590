import { springCaseSchema } from '@/contracts/springCase';
import { CoreError } from '@/core/errors';
import { type PackSolver } from '@/core/mechanics/leafpack/solve';
import { solveFrom } from '@/core/springCase/springCase';

export const failure = (code: string, message: string, field?: string) => ({
  format: 'spring-error/1',
  code,
  message,
  ...(field === undefined ? {} : { field }),
});

/**
 * The answer to one case as one line of JSON, or an error object.
 * @param spent a solver whose matrices serve as first guesses; it is returned changed
 */
export function answerLine(text: string, spent?: PackSolver): { answer: string; failed: boolean; solver?: PackSolver } {
  const failed = (code: string, message: string, field?: string) => ({
    answer: JSON.stringify(failure(code, message, field)),
    failed: true,
  });
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return failed('unreadable', error instanceof Error ? error.message : String(error));
  }
  const parsed = springCaseSchema.safeParse(json);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return failed('bad-input', issue?.message ?? 'not a spring case', issue?.path.join('.'));
  }
  try {
    const { answer, solver } = solveFrom(parsed.data, spent);
    return { answer: JSON.stringify(answer), failed: false, solver };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return failed(error.code, error.message, error.field);
  }
}
