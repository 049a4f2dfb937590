// A thread of `solve`: answers lines of cases, each with what the one before left warm.
import { parentPort } from 'node:worker_threads';
import { answerLine } from './solveLine';

parentPort!.on('message', ({ id, lines }: { id: number; lines: string[] }) => {
  let solver: ReturnType<typeof answerLine>['solver'];
  let failed = false;
  const answers = lines.map((line) => {
    const said = answerLine(line, solver);
    ({ solver } = said);
    failed ||= said.failed;
    return said.answer;
  });
  parentPort!.postMessage({ id, answers, failed });
});
