import type { Play } from '@bradyon/core/advice';
import type { GameEvent, Move } from '@bradyon/core/games';
import type { PersonId } from '@bradyon/core/units';
import { kindWords } from './kindWords.ts';

type Name = (id: PersonId | null | undefined) => string;

export const PITCH_WORDS: Record<string, string> = {
  ball: 'Ball',
  called: 'Called strike',
  swinging: 'Swinging strike',
  foul: 'Foul',
  foulBunt: 'Foul bunt',
  foulTip: 'Foul tip',
  foulTipDropped: 'Foul tip, dropped',
  inPlay: 'In play',
  hitByPitch: 'Hit batter',
  interference: 'Catcher interference',
  illegal: 'Illegal pitch',
  noPitch: 'No pitch',
};

const BALL_WORDS: Record<string, string> = {
  single: 'Single',
  double: 'Double',
  triple: 'Triple',
  homeRun: 'Home run',
  error: 'Error',
  fieldersChoice: 'Fielder’s choice',
  thrownOut: 'Out at first',
  caught: 'Caught',
  infieldFly: 'Infield fly',
};

export const PLAY_WORDS: Record<Play, string> = {
  stealSecond: 'Steal second',
  stealThird: 'Steal third',
  stealHome: 'Steal home',
  doubleSteal: 'Double steal',
  delayedSteal: 'Delayed steal',
  hopSteal: 'Steal off a hop',
  hitAndRun: 'Hit and run',
  sacrifice: 'Sacrifice bunt',
  squeeze: 'Squeeze',
  contact: 'Go on contact',
  swing: 'Swing away',
  take: 'Take one',
  walkOnPurpose: 'Walk the batter',
  infieldIn: 'Infield in',
  pitchOut: 'Pitch-out',
  slideStep: 'Slide step',
};

/** A play as it is named in words, one from another version as it is called there. */
export function playWords(play: string): string {
  return (PLAY_WORDS as Record<string, string>)[play] ?? play;
}

const BASE: Record<string, string> = {
  first: 'first',
  second: 'second',
  third: 'third',
  home: 'home',
};

/** @example moveWords([{ from: 'first', out: 'second' }]) // 'out at second' */
function moveWords(moves: readonly Move[] | undefined): string {
  const said = (moves ?? []).flatMap(({ from, to, out }) => {
    if (from === 'batter') return [];
    if (out !== undefined) return [`out at ${BASE[out] ?? out}`];
    return to === 'home' ? ['scores'] : [`${BASE[from] ?? from} to ${BASE[to ?? ''] ?? ''}`];
  });
  return said.join(', ');
}

const joined = (...parts: string[]): string => parts.filter((part) => part !== '').join(', ');

/** An entry in a line of the log. */
export function entryWords(event: GameEvent, name: Name): string {
  switch (event.kind) {
    case 'pitch': {
      const { ball, result, style, dirt, away } = event;
      const what =
        result === 'inPlay' && ball
          ? joined(BALL_WORDS[ball.result] ?? ball.result, (ball.fielders ?? []).join('-'))
          : (PITCH_WORDS[result] ?? result);
      return joined(
        what,
        style === 'slideStep' ? 'slide step' : '',
        away === undefined ? (dirt === true ? 'in the dirt' : '') : 'got away',
        moveWords(event.runners),
      );
    }
    case 'pick':
      return joined(
        `${event.by === 'C' ? 'Catcher’s throw' : 'Pickoff'} to ${event.base}`,
        event.result,
        moveWords(event.runners),
      );
    case 'steal':
      return joined('Steal', moveWords(event.runners));
    case 'runners':
      return joined(event.why ?? 'Runners', moveWords(event.runners));
    case 'sub':
      return `Substitution: ${event.moves
        .map((move) =>
          joined(name(move.in), move.for ? `for ${name(move.for)}` : '', move.pos ?? ''),
        )
        .join('; ')}`;
    case 'courtesy':
      return `${name(event.runner)} runs for the ${event.base} base runner`;
    case 'placed':
      return `${name(event.runner)} starts on ${event.base}`;
    case 'sign':
      return joined(
        `Sign: ${event.play === 'nothing' ? 'nothing on' : playWords(event.play)}`,
        event.seen === null ? '' : event.seen ? 'seen' : 'missed',
      );
    case 'alignment':
      return joined('Alignment', event.infield ?? '', event.outfield ?? '', event.covers ?? '');
    case 'reading':
      return `${name(event.person)} timed`;
    case 'ended':
    case 'halfEnded':
    case 'batterOut':
      return joined(kindWords(event.kind), event.why ?? '');
    case 'batterUp':
      return `${name(event.batter)} bats`;
    case 'appeal':
      return `Appeal on ${name(event.runner)}`;
    case 'correction':
      return `Corrected: ${Object.keys(event.set).join(', ')}`;
    case 'opened':
    case 'intentionalWalk':
    case 'stepOff':
    case 'balk':
    case 'outOfTurn':
    case 'absent':
    case 'arrived':
    case 'visit':
    case 'advice':
    case 'undo':
    case 'settle':
      return kindWords(event.kind);
  }
}

/** Worth in chance to win, in points. @example pointsText(0.019) // '+1.9' */
export function pointsText(worth: number): string {
  const figure = (Math.abs(worth) * 100).toFixed(1);
  if (figure === '0.0') return '0.0';
  return `${worth > 0 ? '+' : '−'}${figure}`;
}
