import type { PersonId } from '@bradyon/core/units';

/** One list of everybody: a heading for each group and one for those who are not there, and who is under it. */
const headingOf = (group: number): string => `group ${String(group)}`;
const NOT_THERE = 'group none';

/** Which group a line of the list heads; null: those who are not there. Undefined: it is a player. */
export function groupHeaded(id: string): number | null | undefined {
  if (id === NOT_THERE) return null;
  return id.startsWith('group ') ? Number(id.slice(6)) : undefined;
}

/** The groups as one list. @param players everybody, in the order of those who are not there */
export function listOfGroups(
  groups: readonly (readonly PersonId[])[],
  players: readonly PersonId[],
): string[] {
  const isThere = new Set(groups.flat());
  return [
    ...groups.flatMap((group, at) => [
      headingOf(at),
      // Who has left the team is in an old plan still.
      ...group.filter((id) => players.includes(id)),
    ]),
    NOT_THERE,
    ...players.filter((id) => !isThere.has(id)),
  ];
}

/** The groups that a list means; what stands above the first heading belongs to it. */
export function groupsOfList(ids: readonly string[], count: number): PersonId[][] {
  const groups = Array.from({ length: count }, (): PersonId[] => []);
  let at: number | null = 0;
  for (const id of ids) {
    const headed = groupHeaded(id);
    if (headed !== undefined) at = headed;
    else if (at !== null) groups[at]?.push(id as PersonId);
  }
  return groups;
}
