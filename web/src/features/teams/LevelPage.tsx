import { constantOf, LEVEL_CONSTANT_KEYS, LEVEL_CONSTANTS, LEVELS } from '@bradyon/core/timing';
import { ConstantsForm } from './ConstantsForm.tsx';
import { useTeam } from './useTeams.ts';

/** What is typical of the level, and a team's own numbers in its place. */
export function LevelPage() {
  const team = useTeam();
  const level = LEVELS[team.level];
  const { role: _role, version: _version, ...draft } = team;
  return (
    <ConstantsForm
      title="Level"
      intro={
        <>
          Typical for <strong>{level.label}</strong>. {level.note} Leave a field blank to keep the
          typical number.
        </>
      }
      constants={LEVEL_CONSTANT_KEYS.map((key) => ({
        path: `levelChanges.${key}`,
        ...LEVEL_CONSTANTS[key],
        usual: constantOf(level, key),
        own: team.levelChanges[key],
      }))}
      toSend={(own) => ({
        ...draft,
        levelChanges: Object.fromEntries(
          LEVEL_CONSTANT_KEYS.flatMap((key) => {
            const value = own(`levelChanges.${key}`);
            return value === undefined ? [] : [[key, value]];
          }),
        ),
      })}
      saved="Level saved. Every number is updated"
    />
  );
}
