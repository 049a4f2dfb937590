// Runs in the browser: one spring under any load, as fast as a slider asks; only the latest question is answered.
import { CoreError } from '@/core/errors';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { type Side } from '@/core/vehicle/side';
import { SpringUnderLoad, type Where } from '@/core/suspension/longitudinalLeaf/underLoad';
import { packed, type SpringReplyFigure } from './springFigure';

export type SpringQuestion =
  | { kind: 'spring'; key: number; input: LeafAxleInput; side: Side; least: number; most: number }
  | { kind: 'load'; key: number; id: number; load: number; where: Where };
export interface SpringPair {
  old: SpringReplyFigure;
  built: SpringReplyFigure | null;
}
export type SpringReach = ReturnType<SpringUnderLoad['reach']>;
export type SpringReply =
  | { kind: 'reach'; key: number; reach: Record<Where, SpringReach> }
  | { kind: 'answer'; key: number; id: number; where: Where; answer: SpringPair }
  | { kind: 'refused'; key: number; reason: string };

let spring: SpringUnderLoad | undefined;
let key = 0;
let next: Extract<SpringQuestion, { kind: 'load' }> | undefined;

const post = (reply: SpringReply) => self.postMessage(reply);

function answerNext(): void {
  const question = next;
  next = undefined;
  if (!question || !spring || question.key !== key) return;
  const { id, load, where } = question;
  const { old, built } = spring.at(load, where);
  post({ kind: 'answer', key, id, where, answer: { old: packed(old), built: built && packed(built) } });
}

self.onmessage = ({ data }: MessageEvent<SpringQuestion>) => {
  if (data.kind === 'load') {
    // Questions that came in while the last one was solved are passed over.
    if (!next) setTimeout(answerNext, 0);
    next = data;
    return;
  }
  key = data.key;
  spring = undefined;
  try {
    spring = new SpringUnderLoad(data.input, data.side);
    const { least, most } = data;
    const reach = { installed: spring.reach(least, most, 'installed'), bench: spring.reach(0, most, 'bench') };
    post({ kind: 'reach', key, reach });
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    post({ kind: 'refused', key, reason: error.message });
  }
};
