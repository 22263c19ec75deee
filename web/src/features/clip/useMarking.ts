import { timesFromRelease } from '@bradyon/core/rules';
import {
  describeMisfit,
  stepOfDeviation,
  WATCH_PLANS,
  type ReadingDraft,
  type ReadingKind,
} from '@bradyon/core/timing';
import type { Base, PersonId } from '@bradyon/core/units';
import { useState } from 'react';
import { notify, seconds } from '../../ui/index.ts';
import { usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { draftOf, keepReadings, KIND_WORDS, PITCHED } from '../timing/index.ts';
import { CLIP_PLANS, clipSplits, momentOf, type ClipMark, type ClipPlanName } from './clip.ts';

const KIND_BASES: Partial<Record<ReadingKind, readonly Base[]>> = {
  delivery: ['second', 'third'],
  flight: ['second', 'third'],
  pop: ['second', 'third'],
  steal: ['second', 'third'],
  pick: ['first', 'second', 'third'],
  outfieldThrow: ['second', 'third', 'home'],
};

export type Marking = ReturnType<typeof useMarking>;

/**
 * What is marked in a clip, whose it is, and the times that follow.
 * @param playFps the rate the clip plays at
 */
export function useMarking(file: File, playFps: number) {
  const team = useTeam();
  const { playing, onField } = usePlaying(team.id);
  const { leadRule } = team.ruleset;
  const plans = (Object.keys(CLIP_PLANS) as ClipPlanName[]).filter(
    (name) =>
      name !== (timesFromRelease(team.ruleset) ? 'battery' : 'softballBattery') &&
      !(name === 'leave' && leadRule === 'open') &&
      !(['pick', 'diveBack'].includes(name) && leadRule !== 'open'),
  );
  const [planName, setPlanName] = useState<ClipPlanName>(plans[0] ?? 'pop');
  const [marks, setMarks] = useState<(ClipMark | null)[]>([]);
  const [typedRate, setTypedRate] = useState<string | null>(null);
  const [pickedBase, setPickedBase] = useState<Base>(playing.base);
  const [fielderId, setFielderId] = useState<PersonId | null>(null);

  const plan = WATCH_PLANS[planName];
  const kinds: readonly ReadingKind[] = plan.kinds;
  const trueRate = typedRate ?? String(playFps);
  const trueFps = Number(trueRate.replace(',', '.'));
  const rateFits = trueFps >= 5 && trueFps <= 2000;
  // Slow motion stretches the sound: what was marked by it does not stand.
  const isSlowMotion = rateFits && trueFps !== playFps;
  const standing = marks.map((mark) => (isSlowMotion && mark && 'heardAt' in mark ? null : mark));
  const splits = rateFits ? clipSplits(planName, standing, { playFps, trueFps }) : [];
  const bases = [...new Set(kinds.flatMap((kind) => KIND_BASES[kind] ?? []))];
  const base = bases.includes(pickedBase) ? pickedBase : (bases[0] ?? null);
  const fielder =
    onField.fielders.find(({ id }) => id === fielderId) ?? onField.fielders[0] ?? null;

  const ownerOf = (kind: ReadingKind) => {
    if (kind === 'pop') return onField.catcher;
    if (kind === 'outfieldThrow') return fielder;
    return PITCHED.includes(kind) ? onField.pitcher : onField.runner;
  };

  /** The readings of the marks, or why they cannot be kept. */
  const draftsOf = (): ReadingDraft[] | string => {
    const drafts: ReadingDraft[] = [];
    for (const { kind, seconds: value, sdSeconds } of splits) {
      const split = { kind, seconds: value };
      const owner = ownerOf(kind);
      if (!owner) return 'Choose the player, then save it.';
      const draft = draftOf(
        split,
        {
          personId: owner.id,
          base: KIND_BASES[split.kind] ? base : null,
          style: split.kind === 'delivery' ? playing.style : null,
        },
        {
          method: 'clip',
          resolutionSeconds: stepOfDeviation(sdSeconds),
          // When the camera wrote the file.
          atMs: file.lastModified,
        },
      );
      const misfit = describeMisfit(draft);
      if (misfit) {
        const what = `${KIND_WORDS[split.kind].name} ${seconds(split.seconds)}`;
        return `${what} was not saved. ${misfit.message}`;
      }
      drafts.push(draft);
    }
    return drafts;
  };

  const save = (): void => {
    const drafts = draftsOf();
    if (typeof drafts === 'string') {
      notify(drafts);
      return;
    }
    const takeBack = keepReadings(team.id, drafts);
    setMarks([]);
    const kept = drafts.map((each) => `${KIND_WORDS[each.kind].name} ${seconds(each.seconds)}`);
    notify(`Saved: ${kept.join(', ')}`, takeBack);
  };

  return {
    plans,
    planName,
    choosePlan: (name: ClipPlanName) => {
      setPlanName(name);
      setMarks([]);
    },
    kinds,
    /** Each mark and where it shows in the clip, seconds; null: not marked. */
    marks: plan.marks.map((name, index) => {
      const mark = standing[index] ?? null;
      return { name, mark, at: mark && placeOf(mark, playFps) };
    }),
    /** The mark that is due; -1: all are set. */
    due: plan.marks.findIndex((_, index) => standing[index] == null),
    mark: (index: number, mark: ClipMark) => {
      setMarks(plan.marks.map((_, each) => (each === index ? mark : (marks[each] ?? null))));
    },
    splits,
    trueRate,
    trueFps: rateFits ? trueFps : playFps,
    rateFits,
    isSlowMotion,
    setTrueRate: setTypedRate,
    bases,
    base,
    setBase: setPickedBase,
    fielder,
    setFielderId,
    save,
  };
}

/** Where a mark shows in the clip, seconds. */
function placeOf(mark: ClipMark, playFps: number): number {
  return 'seenAt' in mark ? mark.seenAt : momentOf(mark, playFps).atSeconds;
}
