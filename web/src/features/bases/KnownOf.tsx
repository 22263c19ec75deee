import {
  OUTFIELD,
  planTag,
  sendChance,
  type Outfielder,
  type Send,
  type SendQuestion,
} from '@bradyon/core/bases';
import type { Person } from '@bradyon/core/people';
import type { ReactNode } from 'react';
import { useKnownBunt } from '../bunts/index.ts';
import { averageValue, type KnownHere, type OddsInView } from '../innings/index.ts';
import { usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { useBases, type BasesInView } from './useBases.ts';
import { DEGREES } from './useOutfield.ts';
import { useGrounders } from './useGrounders.ts';

/** Caught a little in front of where he plays. Judgment. */
const CAUGHT_AT = 0.9;
const TAGS = { 1: 'tagFirstToSecond', 2: 'tagSecondToThird', 3: 'tagThirdToHome' } as const;

/** Bunts, sends and tags by whoever is up and on, for the page of the odds. */
export function KnownOf({
  view: { situation, order, up },
  children,
}: {
  view: OddsInView;
  children: (known: KnownHere) => ReactNode;
}) {
  const team = useTeam();
  const { onField } = usePlaying(team.id);
  const bases = useBases();
  const ours = situation.batting === 'we' && order.length > 0;
  const known = useKnownBunt({
    bases: situation.bases,
    outs: situation.outs,
    batter: ours ? (up?.person ?? null) : null,
    on: bases.on,
    pitcherThrows: onField.pitcher?.throws ?? 'right',
  });
  const { playChanges } = team;
  // Runs decide which out they take: what it is worth here is weighed after.
  const grounders = useGrounders(bases, {
    runner: bases.on[3],
    batter: up?.person,
    value: averageValue(team),
    isAsked: ours && !bases.isLoading && situation.bases === 4 && bases.on[3] !== undefined,
  });
  const [near, , back] = grounders.plans ?? [];
  // A sheet of the team's own stands above what is worked out.
  const isOwn = Boolean(playChanges.contactIn ?? playChanges.contactBack);
  const contact =
    ours && bases.on[3] && near && back && !grounders.isOld && !isOwn
      ? { in: near.shares, back: back.shares }
      : null;
  return children({ ...known, contact, works: ours && !bases.isLoading ? worksFor(bases) : {} });
}

/** On a medium single, or a fly ball a little in front of him, to each field alike. */
function worksFor(view: BasesInView): KnownHere['works'] {
  const { situation, on } = view;
  const outs = situation.outs as 0 | 1 | 2;
  const works: KnownHere['works'] = {};
  const toAll = (chance: (fielder: Outfielder) => number): number =>
    OUTFIELD.reduce((sum, fielder) => sum + chance(fielder), 0) / OUTFIELD.length;
  const send = (kind: Send, runner: Person): number =>
    toAll((fielder) => sendChance(sendOf(view, kind, runner, fielder)));
  if (on[2]) works.secondToHomeOnSingle = send('secondToHome', on[2]);
  if (on[1] && !on[2]) works.firstToThirdOnSingle = send('firstToThird', on[1]);
  if (outs === 2) return works;
  for (const from of [1, 2, 3] as const) {
    const runner = on[from];
    if (!runner) continue;
    works[TAGS[from]] = toAll(
      (fielder) =>
        planTag({
          from,
          bases: situation.bases,
          outs,
          ruleset: view.team.ruleset,
          figures: view.figures,
          degrees: DEGREES[fielder],
          feet: view.figures.outfieldDepth * CAUGHT_AT,
          momentum: 0.5,
          armMph: view.armOf(fielder, 'timed').mph,
          seen: 'ownEyes',
          runner: view.gaitOf(runner),
          value: view.value,
        }).safe,
    );
  }
  return works;
}

function sendOf(view: BasesInView, send: Send, runner: Person, fielder: Outfielder): SendQuestion {
  return {
    send,
    bases: view.situation.bases,
    outs: view.situation.outs as 0 | 1 | 2,
    ruleset: view.team.ruleset,
    figures: view.figures,
    degrees: DEGREES[fielder],
    hit: 'medium',
    outfielderAt: view.spotOf(fielder),
    approach: 'usual',
    bobbled: null,
    armMph: view.armOf(fielder, 'timed').mph,
    cutoff: true,
    habits: view.habitsFor(fielder),
    runner: view.gaitOf(runner),
    value: view.value,
  };
}
