import type { SignSystem } from '@bradyon/core/signs';
import type { TeamId } from '@bradyon/core/units';
import { create } from 'zustand';
import { session } from '../../api/index.ts';

/** A system as it is being laid, before it is put in force: in the memory of this tab alone. */
export interface SignDraft {
  /** The version it was begun from; null: none was there. */
  from: string | null;
  system: SignSystem;
  phrase: string;
}

export const useDrafts = create<{ byTeam: Record<TeamId, SignDraft> }>()(() => ({ byTeam: {} }));

export function keepDraft(teamId: TeamId, draft: SignDraft | null): void {
  useDrafts.setState(({ byTeam }) => {
    const { [teamId]: _, ...others } = byTeam;
    return { byTeam: draft ? { ...others, [teamId]: draft } : others };
  });
}

// Signing out leaves nothing of it behind.
session.subscribe(({ account }) => {
  if (account === null) useDrafts.setState({ byTeam: {} });
});
