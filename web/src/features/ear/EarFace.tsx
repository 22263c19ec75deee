import { EAR_PLANS, type EarPlan, type EarPlanName } from '@bradyon/core/ear';
import type { Split } from '@bradyon/core/timing';
import { Ear, EarOff } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import { TapButton } from '../../ui/index.ts';
import { KIND_WORDS, tick } from '../timing/index.ts';
import { LevelMeter } from './LevelMeter.tsx';
import { useLoudness } from './loudness.ts';
import type { EarInHand } from './useEar.ts';

/** What the ear is at: off, listening, or a time that it has just heard. Where a thumb begins or ends it, a tap area. */
export function EarFace({
  hand,
  planName,
  who,
}: {
  hand: EarInHand;
  planName: EarPlanName;
  who: string | null;
}) {
  const { phase, notice } = hand;
  const isSettling = useLoudness(({ loudness }) => loudness?.isSettling ?? true);
  const plan: EarPlan = EAR_PLANS[planName];
  const tapped = plan.marks.find(({ by }) => by === 'tap');
  const isOn = phase.is === 'listening';
  const isPaused = phase.is === 'trouble' && phase.which === 'paused';
  const words =
    phase.is === 'listening' ? (notice ?? dueWords(hand, plan, isSettling)) : OFF_WORDS[phase.is];
  const inside = (
    <>
      <span className="ear-about">{who ?? 'Nobody chosen'}</span>
      <span className="ear-figure figure">{figureOf(hand, plan)}</span>
      <span className="ear-words">{words}</span>
      {isOn && <LevelMeter />}
      <Marks hand={hand} plan={plan} />
    </>
  );
  return (
    <>
      {isOn && tapped ? (
        <TapButton
          className="ear-face"
          aria-label={`Tap at: ${tapped.name}`}
          onTap={(atMs) => {
            hand.tap(atMs);
            tick();
          }}
        >
          {inside}
        </TapButton>
      ) : (
        <div className={isOn ? 'ear-face' : 'ear-face ear-off'}>{inside}</div>
      )}
      <p className="visually-hidden" role="status">
        {notice ?? (isOn ? 'Listening' : '')}
      </p>
      <div className="ear-buttons">
        {isOn ? (
          <Button variant="outline-primary" onClick={hand.stop}>
            <EarOff size={18} aria-hidden="true" /> Stop listening
          </Button>
        ) : (
          <Button disabled={phase.is === 'opening'} onClick={isPaused ? hand.goOn : hand.start}>
            <Ear size={18} aria-hidden="true" />{' '}
            {isPaused
              ? 'Go on'
              : phase.is === 'opening'
                ? 'Asking for the microphone'
                : 'Start listening'}
          </Button>
        )}
        <p className="quiet">Nothing is recorded, and no sound leaves this device.</p>
      </div>
    </>
  );
}

const OFF_WORDS = {
  off: 'Start listening, then put the phone down.',
  opening: 'Your browser asks for the microphone.',
  trouble: 'Not listening.',
};

function dueWords({ state }: EarInHand, plan: EarPlan, isSettling: boolean): string {
  if (isSettling) return 'Getting to know the noise here.';
  if (state.state === 'open') return 'Heard. Waiting in case there is more.';
  const [first] = plan.marks;
  return first?.by === 'tap'
    ? `Tap at the ${first.name}`
    : `Listening for the ${first?.name ?? ''}`;
}

/** The times that are being heard, or the last ones saved, if they are of what is chosen. */
function splitsOf({ going, state, last }: EarInHand, plan: EarPlan): readonly Split[] {
  const chain = state.state === 'open' ? state.chains[0] : going ? undefined : last?.chain;
  return chain && chain.splits[0]?.kind === plan.kinds[0] ? chain.splits : [];
}

function figureOf(hand: EarInHand, plan: EarPlan): string {
  return (splitsOf(hand, plan).at(-1)?.seconds ?? 0).toFixed(2);
}

function Marks({ hand, plan }: { hand: EarInHand; plan: EarPlan }) {
  const splits = splitsOf(hand, plan);
  return (
    <span className="ear-marks">
      {plan.marks.map(({ name, by }, nth) => {
        const kind = plan.kinds[nth - 1];
        const split = splits[nth - 1];
        return (
          <span key={name} className="ear-mark" data-mark={name}>
            <span>{kind ? KIND_WORDS[kind].short : name}</span>
            <strong className="figure">
              {split ? split.seconds.toFixed(2) : by === 'tap' ? 'tap' : 'ear'}
            </strong>
          </span>
        );
      })}
    </span>
  );
}
