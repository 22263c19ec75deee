import {
  deciderOf,
  drawSituation,
  isLetThrough,
  judgeSend,
  planPractice,
  sendSession,
  type Decider,
  type NoPlan,
  type PracticePlan,
  type PracticeQuestion,
  type SendJudgement,
  type SendLevelName,
  type SendSituation,
} from '@bradyon/core/drills';
import { valueFrom, type ValueTable } from '@bradyon/core/innings';
import { expose } from 'comlink';

/** A play of the trainer with what is right on it. */
export interface TrainerPlay {
  seed: number;
  situation: SendSituation;
  judged: SendJudgement;
  decided: { decider: Decider; change: number } | null;
  /** A runner on first too, and whether the cutoff man lets the throw home go. */
  onFirst: boolean;
  letThrough: boolean;
}

/** A play that was answered, as it can be drawn again. */
export interface AskedPlay {
  level: SendLevelName;
  seed: number;
  onFirst: boolean;
}

/** What was right on it. */
export type JudgedPlay = SendJudgement &
  Pick<SendSituation, 'outs' | 'field'> &
  Pick<TrainerPlay, 'seed' | 'letThrough'>;

/** What is too heavy to stand between a tap and its answer. */
const heavy = {
  /** The plays of a session. */
  plays: (
    level: SendLevelName,
    seed: number,
    count: number,
    values: ValueTable,
    onFirst: boolean,
  ): TrainerPlay[] => {
    const value = valueFrom(values);
    return sendSession(level, seed, count, value, onFirst).flatMap((own): TrainerPlay[] => {
      const situation = drawSituation(level, own);
      const judged = judgeSend(situation, value, onFirst);
      if (!judged) return [];
      const decided = deciderOf(situation, value, onFirst);
      const letThrough = isLetThrough(own, judged);
      return [{ seed: own, situation, judged, decided, onFirst, letThrough }];
    });
  },
  /** What was right on plays that were answered; null where one cannot be used any more. */
  judged: (asked: readonly AskedPlay[], values: ValueTable): (JudgedPlay | null)[] => {
    const value = valueFrom(values);
    return asked.map(({ level, seed, onFirst }) => {
      const situation = drawSituation(level, seed);
      const judged = judgeSend(situation, value, onFirst);
      const { outs, field } = situation;
      return judged && { ...judged, seed, outs, field, letThrough: isLetThrough(seed, judged) };
    });
  },
  plan: (question: PracticeQuestion): { found: PracticePlan | NoPlan } => ({
    found: planPractice(question),
  }),
};
export type Heavy = typeof heavy;

expose(heavy);
