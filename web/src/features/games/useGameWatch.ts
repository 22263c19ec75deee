import { timesFromRelease } from '@bradyon/core/rules';
import type { ReadingDraft, ReadingKind, WatchPlanName } from '@bradyon/core/timing';
import { useState } from 'react';
import { useTeam } from '../teams/index.ts';
import { useWatch, type SplitOwner, type WatchInHand } from '../timing/index.ts';
import type { Desk } from './useDesk.ts';
import type { GameInHand } from './useGame.ts';

/** The watch of a game: it knows who pitches, who catches and where the throw goes. */
export interface GameWatch {
  hand: WatchInHand;
  isPick: boolean;
  setPick: (isPick: boolean) => void;
  /** The hold is timed too: the first tap is when the pitcher comes set. */
  fromSet: boolean;
  setFromSet: (fromSet: boolean) => void;
  hasStyles: boolean;
}

export function useGameWatch(desk: Desk, game: GameInHand): GameWatch {
  const team = useTeam();
  const { situation } = game;
  const [isPick, setPick] = useState(false);
  const [fromSet, setFromSet] = useState(false);
  const fromRelease = timesFromRelease(team.ruleset);
  const pickPlan = fromSet ? 'pickFromSet' : 'pick';
  const pitchPlan = fromSet ? 'batteryFromSet' : 'battery';
  const planName: WatchPlanName = fromRelease ? 'softballBattery' : isPick ? pickPlan : pitchPlan;
  const base = desk.race?.base === 'third' ? 'third' : 'second';
  const pickBase =
    (['first', 'second', 'third'] as const).find((each) => situation.bases[each] !== null) ??
    'first';
  const pitcher = game.person(situation.pitcher);
  const catcher = game.person(situation.catcher);
  const ownerOf = (kind: ReadingKind): SplitOwner | null => {
    if (kind === 'pop') return catcher && { personId: catcher.id, base };
    if (!pitcher) return null;
    if (kind === 'pick') return { personId: pitcher.id, base: pickBase };
    return kind === 'delivery'
      ? { personId: pitcher.id, base, style: desk.style }
      : { personId: pitcher.id, base };
  };
  const onKept = (draft: ReadingDraft): void => {
    game.tell(
      { kind: 'reading', reading: draft.id, person: draft.personId, what: draft.kind, on: null },
      { quiet: true },
    );
  };
  const hand = useWatch(team.id, planName, ownerOf, { onKept });
  return { hand, isPick, setPick, fromSet, setFromSet, hasStyles: !fromRelease };
}
