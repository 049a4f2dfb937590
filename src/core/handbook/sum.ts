import { type Picture } from './picture';
import { threadNamed, type Thread } from '../thread/thread';
import { type FieldRule } from '../units/parse';
import { type Dimension } from '../units/units';

/** One figure that a sum asks for. */
export interface SumField {
  id: string;
  label: string;
  rule: FieldRule;
  /** Stands in the field at first: an example, not advice. */
  example: string;
  hint?: string;
}

/** One thing to choose out of a few; the first stands at first. */
export interface SumChoice {
  id: string;
  label: string;
  options: readonly { id: string; name: string }[];
}

export interface SumFigure {
  label: string;
  value: number;
  /** `share` is told in per cent, `turns` as a bare number, `energy` (N·mm) in joules. */
  dimension: Dimension | 'share' | 'turns' | 'energy';
  /** A name in place of the figure, where the answer is one. */
  says?: string;
  /** Its reach down and up, where it has one. */
  between?: readonly [number, number];
}

export interface SumAnswer {
  /** The first one is the answer. */
  figures: SumFigure[];
  /** What follows from it, in words; the first may begin with STOP or look. */
  words: string[];
  /** How it comes out, with the numbers in it. */
  working: string[];
  /** What is begun so many days before a day that is picked. */
  days?: { name: string; before: number }[];
}

/** What was typed: figures in core units, threads by their names. */
export class SumInput {
  constructor(
    private readonly values: Readonly<Record<string, number>>,
    private readonly texts: Readonly<Record<string, string>>,
    private readonly choices: Readonly<Record<string, string>>,
  ) {}
  number(id: string): number {
    return this.values[id]!;
  }
  thread(id: string): Thread {
    return threadNamed(this.texts[id] ?? '')!;
  }
  choice<T extends string>(id: string): T {
    return this.choices[id] as T;
  }
}

/** One sum of the trade: what goes in, what comes out, where it is from and what it does not tell. */
export interface Sum {
  id: string;
  group: 'bolts' | 'holes and tools' | 'springs' | 'travel' | 'axle and wheels' | 'the job';
  title: string;
  /** Other words that people look it up by, the wrong ones too. */
  words: string;
  fields: readonly SumField[];
  choices?: readonly SumChoice[];
  source: string;
  /** What it does not tell. */
  silent: string;
  /** @throws CoreError naming the field that is wrong */
  answer(input: SumInput): SumAnswer;
  /** Figures of a heavier model to stand beside the answer; its program is fetched when the sum is opened. */
  model?(input: SumInput): Promise<SumFigure[]>;
  /** What it is of, to scale. */
  draw?(input: SumInput): Picture;
}

export const n = (value: number, digits = 1): string => value.toFixed(digits).replace('-', '−');
