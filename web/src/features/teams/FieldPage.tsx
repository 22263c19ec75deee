import { FIELD_FIGURES } from '@bradyon/core/bases';
import { figureAt, LEVELS, type Figure, type Grade } from '@bradyon/core/timing';
import { ConstantsForm } from './ConstantsForm.tsx';
import { useTeam } from './useTeams.ts';

const GRADE_TEXT: Record<Grade, string> = {
  known: 'Known.',
  plausible: 'Plausible.',
  guess: 'A guess.',
};
const PARTS = ['bunts', 'bases'] as const;
const PART_TEXT = { bunts: 'Bunt', bases: 'Bases' } as const;

/** The constants of Bunt and Bases, how well each is known, and a team's own numbers in its place. */
export function FieldPage() {
  const team = useTeam();
  const { role: _role, version: _version, ...draft } = team;
  const figures = (part: (typeof PARTS)[number]): [string, Figure][] =>
    Object.entries(FIELD_FIGURES[part]);
  return (
    <ConstantsForm
      title="Field"
      intro={
        <>
          What Bunt and Bases use for <strong>{LEVELS[team.level].label}</strong>. Most are guesses:
          yours, once measured, are better. Leave a field blank to keep the typical number.
        </>
      }
      constants={PARTS.flatMap((part) =>
        figures(part).map(([key, each]) => ({
          ...each,
          path: `fieldChanges.${part}.${key}`,
          name: `${PART_TEXT[part]}: ${each.name}`,
          note: `${GRADE_TEXT[each.grade]} ${each.note}`,
          usual: figureAt(each, team.level),
          own: (team.fieldChanges[part] as Partial<Record<string, number>>)[key],
        })),
      )}
      toSend={(own) => ({
        ...draft,
        fieldChanges: Object.fromEntries(
          PARTS.map((part) => [
            part,
            Object.fromEntries(
              figures(part).flatMap(([key]) => {
                const value = own(`fieldChanges.${part}.${key}`);
                return value === undefined ? [] : [[key, value]];
              }),
            ),
          ]),
        ),
      })}
      saved="Field saved. Every bunt and send is updated"
    />
  );
}
