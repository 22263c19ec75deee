import type { Person } from '@bradyon/core/people';
import type { Conditions, Population, Runner } from '@bradyon/core/sprint';
import { type Judging, type StealKind, questionOf, type KnownPeople } from '@bradyon/core/steals';
import type { DeliveryStyle } from '@bradyon/core/timing';
import type { PersonId, TargetBase } from '@bradyon/core/units';
import { useState } from 'react';
import { useNeeded } from '../innings/index.ts';
import { usePeople, usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { keepLast, useTimes } from '../timing/index.ts';
import { cellOf, type BoardCell, type BoardRow } from './board.ts';
import { NOTHING_SUPPOSED } from './stealStore.ts';
import { judgingOf, kindIn } from './useSteal.ts';

/** A pitcher and a catcher with what is timed of them, and the delivery supposed of him. */
interface Battery {
  pitcher: Person;
  catcher: Person;
  pitches: Population[];
  pops: Population[];
  pitchSeconds: number | undefined;
}

/**
 * A column's races, reckoned again only when something of that battery, the runners or the question
 * changes: one delivery costs one column.
 */
const columnOf = keepLast(
  (
    runners: readonly Person[],
    forms: readonly Runner[],
    leaves: readonly Population[][],
    field: Conditions,
    base: TargetBase,
    kind: StealKind,
    style: DeliveryStyle,
    judging: Judging,
    pitcher: Person,
    catcher: Person,
    pitches: Population[],
    pops: Population[],
    pitchSeconds: number | undefined,
  ): BoardCell[] =>
    runners.flatMap((person, index) => {
      const form = forms[index];
      if (!form) return [];
      const known: KnownPeople = {
        field,
        of: (each) =>
          each === pitcher ? pitches : each === catcher ? pops : (leaves[index] ?? []),
        runner: () => form,
      };
      const attempt = { base, kind, style, batter: null, leadFeet: person.leadFeet };
      return cellOf(
        {
          ...questionOf(known, { pitcher, catcher, runner: person }, attempt),
          supposed: { pitch: pitchSeconds },
        },
        judging,
      );
    }),
);

const judgingFor = keepLast((needed: number) => judgingOf(needed, NOTHING_SUPPOSED));

/** The whole board: our runners against the batteries of whom we face. */
export function useBoard() {
  const team = useTeam();
  const people = usePeople(team.id);
  const times = useTimes(team);
  const { playing, onField, pick } = usePlaying(team.id);
  const [supposed, setSupposed] = useState<{ pitcherId: PersonId; seconds: number } | null>(null);
  const { base, style } = playing;
  const kind = kindIn(null, team.ruleset, base);
  const here = useNeeded(base);
  const judging = judgingFor(team.id, here.needed);

  const { runners } = onField;
  const forms = runners.map((runner) => times.runner(runner));
  const leaves = runners.map((runner) => times.of(runner));
  const cellsAgainst = ({ pitcher, catcher, pitches, pops, pitchSeconds }: Battery): BoardCell[] =>
    kind === null
      ? []
      : columnOf(
          `${team.id} ${pitcher.id} ${catcher.id}`,
          runners,
          forms,
          leaves,
          times.field,
          base,
          kind,
          style,
          judging,
          pitcher,
          catcher,
          pitches,
          pops,
          pitchSeconds,
        );
  const battery = (pitcher: Person, catcher: Person): Battery => ({
    pitcher,
    catcher,
    pitches: times.of(pitcher),
    pops: times.of(catcher),
    pitchSeconds: supposed?.pitcherId === pitcher.id ? supposed.seconds : undefined,
  });
  const plays = (position: 'P' | 'C') => (person: Person) => person.positions.includes(position);
  const pitchers = onField.pitchers.filter(plays('P'));
  const catchers = onField.catchers.filter(plays('C'));

  return {
    team,
    here,
    kind,
    playing,
    onField,
    pick,
    pitchers,
    catchers,
    supposed,
    setSupposed,
    /** All our runners against each pitcher with the catcher who is out there. */
    againstPitchers: (): BoardRow[] => {
      const { catcher } = onField;
      if (!catcher) return [];
      const columns = pitchers.map((pitcher) => cellsAgainst(battery(pitcher, catcher)));
      return runners.map((person, index) => ({
        person,
        cells: columns.flatMap((column) => column[index] ?? []),
      }));
    },
    /** One runner against every pitcher with every catcher. */
    againstBatteries: (runner: Person): BoardRow[] => {
      const index = runners.indexOf(runner);
      return pitchers.map((pitcher) => ({
        person: pitcher,
        cells: catchers.flatMap((catcher) => cellsAgainst(battery(pitcher, catcher))[index] ?? []),
      }));
    },
    isLoading: people.isLoading || times.isLoading || !here.isCurrent,
    error: people.error ?? times.error ?? here.error,
    retry: () => {
      people.retry();
      times.retry();
      here.retry();
    },
  };
}
