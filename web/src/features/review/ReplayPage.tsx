import type { SharedReplay } from '@bradyon/contract/review';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { request, session } from '../../api/index.ts';
import { Choice, Empty, FormField, Loading, notify, useTitle } from '../../ui/index.ts';
import { OpenedGame, standsWords, useGame } from '../games/index.ts';
import { useTeam } from '../teams/index.ts';
import { ReplayRound } from './ReplayRound.tsx';
import { spotOf } from './replaySpots.ts';
import './Review.scss';
import { useReview } from './useReview.ts';

/** Games that somebody played again on this device: the second time through, one knows how it ended. */
const usePlayed = create<{ games: string[] }>()(
  persist((): { games: string[] } => ({ games: [] }), { name: 'bradyon-replayed' }),
);

/** A finished game as training: the same spots, decided again before anybody says what came of it. */
export function ReplayPage() {
  useTitle('Play it again');
  return (
    <OpenedGame>
      <Replay />
    </OpenedGame>
  );
}

/** More do not wait for one another between two pitches. */
const MOST_IN_TURN = 6;

function Replay() {
  const game = useGame();
  const { counted, isCurrent } = useReview();
  const [asksGuess, setAsksGuess] = useState(false);
  const [names, setNames] = useState('');
  const [isOn, setOn] = useState(false);
  // A tablet is shared: each coach plays it for the first time.
  const played = `${session.getState().account?.id ?? ''} ${game.game.id}`;
  const [wasPlayed] = useState(() => usePlayed.getState().games.includes(played));
  const people = [...new Set(names.split(',').map((name) => name.trim()))].filter(
    (name) => name !== '',
  );
  const tooMany = people.length > MOST_IN_TURN ? 'Enter up to six names.' : undefined;
  const spots = counted.map(spotOf);
  const title = `${standsWords(game.situation, game.ours)} ${game.game.weAreHome ? 'against' : 'at'} ${game.opponentName}`;
  return (
    <>
      <div className="page-head">
        <h1>Play it again</h1>
        <div className="review-tools">
          <Link className="btn btn-outline-primary" to="../review" relative="path">
            Review
          </Link>
        </div>
      </div>
      {!isCurrent ? (
        <Loading what="the odds of this game" />
      ) : counted.length === 0 ? (
        <Empty title="No calls to decide.">
          <p>The desk keeps them before each pitch with a runner on.</p>
        </Empty>
      ) : isOn ? (
        <ReplayRound
          spots={spots}
          who={counted.map(({ call: { call } }) => ({
            runner: game.name(call.runner),
            pitcher: call.pitcher === null ? null : game.name(call.pitcher),
          }))}
          people={people}
          asksGuess={asksGuess}
          isScored={!wasPlayed}
          onEnd={() => {
            if (!wasPlayed) usePlayed.setState((all) => ({ games: [...all.games, played] }));
          }}
        />
      ) : (
        <section className="card-box review-start">
          <p>
            {counted.length} spots of this game, as they were known before the pitch. Go or stay.
            Scored by worth, never by what came of it.
            {wasPlayed && ' You have played this game: the second time is not scored.'}
          </p>
          <Choice
            label="Guess"
            value={asksGuess ? 'guess' : 'none'}
            options={[
              { value: 'none', text: 'Decide only' },
              { value: 'guess', text: 'Guess the chance first' },
            ]}
            onChange={(value) => {
              setAsksGuess(value === 'guess');
            }}
          />
          <FormField
            label="The staff in turn"
            hint="Names with commas between, or leave it blank."
            error={tooMany}
          >
            {(field) => (
              <Form.Control
                {...field}
                value={names}
                maxLength={200}
                onChange={({ target }) => {
                  setNames(target.value);
                }}
              />
            )}
          </FormField>
          <div className="review-tools">
            <Button
              size="lg"
              disabled={tooMany !== undefined}
              onClick={() => {
                setOn(true);
              }}
            >
              Start
            </Button>
            <ShareButton title={title} spots={spots} />
          </div>
        </section>
      )}
    </>
  );
}

/** Players who coach a base decide the same spots on their own phones, by the link of their drills. */
function ShareButton({ title, spots }: SharedReplay) {
  const team = useTeam();
  const share = useMutation({
    mutationFn: () =>
      request('PUT', `/api/teams/${team.id}/games/replay`, { title: title.slice(0, 120), spots }),
    onSuccess: () => {
      notify('Players get it by the link of their drills.');
    },
    onError: ({ message }) => {
      notify(message);
    },
  });
  return (
    <Button
      size="lg"
      variant="outline-primary"
      disabled={share.isPending}
      onClick={() => {
        share.mutate();
      }}
    >
      Share with players
    </Button>
  );
}
