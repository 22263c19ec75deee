import {
  deciderOf,
  drawSituation,
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
}

/** What is too heavy to stand between a tap and its answer. */
const heavy = {
  /** The plays of a session. */
  plays: (level: SendLevelName, seed: number, count: number, values: ValueTable): TrainerPlay[] => {
    const value = valueFrom(values);
    return sendSession(level, seed, count, value).flatMap((own) => {
      const situation = drawSituation(level, own);
      const judged = judgeSend(situation, value);
      return judged ? [{ seed: own, situation, judged, decided: deciderOf(situation, value) }] : [];
    });
  },
  /** What was right on plays that were answered; null where one cannot be used any more. */
  judged: (
    asked: readonly { level: SendLevelName; seed: number }[],
    values: ValueTable,
  ): ((SendJudgement & Pick<SendSituation, 'outs' | 'field'>) | null)[] => {
    const value = valueFrom(values);
    return asked.map(({ level, seed }) => {
      const situation = drawSituation(level, seed);
      const judged = judgeSend(situation, value);
      return judged && { ...judged, outs: situation.outs, field: situation.field };
    });
  },
  plan: (question: PracticeQuestion): { found: PracticePlan | NoPlan } => ({
    found: planPractice(question),
  }),
};
export type Heavy = typeof heavy;

expose(heavy);
