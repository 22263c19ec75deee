import type { Game } from '@bradyon/contract/games';
import { schoolOf, signsAt, type SignBook, type SignVersion } from '@bradyon/core/signs';
import { useQuery } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { request } from '../../api/index.ts';
import { shortDate } from '../../ui/index.ts';
import { usePeople } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { SCHOOL_WORDS } from './words.ts';

const SHOWN = 5;

/** Which signs were in force in which game; an old version can be taken up again. */
export function Versions({
  book,
  onTake,
}: {
  book: SignBook;
  onTake: (version: SignVersion) => void;
}) {
  const team = useTeam();
  const { opponents } = usePeople(team.id);
  const { data: games } = useQuery({
    queryKey: ['games', team.id],
    queryFn: () => request<Game[]>('GET', `/api/teams/${team.id}/games`),
  });
  const past = (games ?? []).filter(({ startsAt }) => startsAt <= new Date().toISOString());
  const named = (id: string | null): string =>
    opponents.find((opponent) => opponent.id === id)?.name ?? 'Opponent';
  if (book.versions.length === 0) return null;
  return (
    <section className="card-box" aria-label="Versions">
      <h2>Versions</h2>
      <ul className="signs-versions">
        {book.versions
          .toReversed()
          .slice(0, SHOWN)
          .map((version, index) => {
            const own = past.filter(({ startsAt }) => signsAt(book, startsAt)?.id === version.id);
            return (
              <li key={version.id}>
                <span>
                  <strong>{SCHOOL_WORDS[schoolOf(version.system)].name}</strong>, since{' '}
                  {shortDate(version.at)}
                  <small>
                    {own.length === 0
                      ? 'No game yet'
                      : own
                          .map(
                            ({ opponentId, startsAt }) =>
                              `${named(opponentId)} ${shortDate(startsAt)}`,
                          )
                          .join(', ')}
                  </small>
                </span>
                {index > 0 && (
                  <Button
                    variant="link"
                    onClick={() => {
                      onTake(version);
                    }}
                  >
                    Use again
                  </Button>
                )}
              </li>
            );
          })}
      </ul>
    </section>
  );
}
