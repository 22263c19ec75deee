import type { Habit } from '@bradyon/core/review';
import { useMemo } from 'react';
import { useTeam } from '../teams/index.ts';
import { useNow } from '../timing/index.ts';
import { bookOn } from './bookOn.ts';
import { chanceAgainst, type Desk } from './useDesk.ts';
import { useSeason } from './useSeason.ts';

const HABIT_WORDS: Partial<Record<Habit, string>> = {
  slideStepRunnerOnFirst: 'Slide step',
  slideStepOther: 'Slide step',
  pitchOut: 'Pitch-out',
};

/** What the book on their battery changes about going now; nothing where it changes nothing. */
export function BookLine({ desk }: { desk: Desk }) {
  const team = useTeam();
  const season = useSeason(team.id, team.role !== 'guest');
  const nowMs = useNow();
  const { race, stake, needed, pitcher, catcher } = desk;
  const seen = season.data?.habits;
  const said = useMemo(() => {
    if (!race || !stake || !seen) return [];
    const { question, base } = race;
    return bookOn({
      seen,
      pitcher: pitcher.id,
      catcher: catcher.id,
      base,
      style: team.ruleset.leadRule === 'open' ? question.style : null,
      worthOf: (style, pitch) => {
        const chance = chanceAgainst({ ...question, style }, needed, pitch);
        return chance * stake.safe + (1 - chance) * stake.out - stake.hold;
      },
      now: new Date(nowMs),
    });
  }, [race, stake, seen, needed, nowMs, pitcher, catcher, team]);
  return said.map(({ habit, seen: [yes, of], then }) => (
    <span key={habit} className="race-book">
      {HABIT_WORDS[habit]} {yes} of {of}: {then}
    </span>
  ));
}
