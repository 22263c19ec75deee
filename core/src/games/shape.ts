import { BALL_RESULTS, PITCH_RESULTS, SIDES, type GameEvent } from './events.ts';

type Fields = Record<string, unknown>;

export function isFields(value: unknown): value is Fields {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
const isText = (value: unknown): boolean => typeof value === 'string';
const isTextOrNone = (value: unknown): boolean => value === undefined || isText(value);
const isSide = (value: unknown): boolean => (SIDES as readonly unknown[]).includes(value);
const isListOf = (value: unknown, is: (each: unknown) => boolean): boolean =>
  Array.isArray(value) && value.every(is);
const PICKERS: readonly unknown[] = [undefined, 'P', 'C'];
const isMove = (value: unknown): boolean =>
  isFields(value) &&
  isText(value['from']) &&
  isTextOrNone(value['how']) &&
  isTextOrNone(value['goal']);
const isSubstitution = (value: unknown): boolean =>
  isFields(value) &&
  isText(value['in']) &&
  isTextOrNone(value['for']) &&
  (value['pos'] === null || isTextOrNone(value['pos']));

/** What a ball in play says beyond its result, which is asked for with words of its own. */
function isBall(ball: unknown): boolean {
  if (ball === undefined) return true;
  if (!isFields(ball)) return false;
  const { result, contact, fielders, at, zone } = ball;
  return (
    (result === undefined || (BALL_RESULTS as readonly unknown[]).includes(result)) &&
    isTextOrNone(contact) &&
    isTextOrNone(zone) &&
    (fielders === undefined || isListOf(fielders, isText)) &&
    (at === undefined || (isFields(at) && Number.isFinite(at['x']) && Number.isFinite(at['y'])))
  );
}

/** Whether an entry of a known kind has the fields that it needs, each of its sort. */
export function isWellFormed(event: GameEvent): boolean {
  const said = event as unknown as Fields;
  const runners = said['runners'];
  if (runners !== undefined && !isListOf(runners, isMove)) return false;
  // Kinds that need no more than themselves are the default.
  // eslint-disable-next-line @typescript-eslint/switch-exhaustiveness-check
  switch (event.kind) {
    case 'pitch':
      return (PITCH_RESULTS as readonly unknown[]).includes(event.result) && isBall(event.ball);
    case 'pick':
      return isText(event.base) && isText(event.result) && PICKERS.includes(event.by);
    case 'appeal':
      return isText(event.runner) && isText(event.base) && isText(event.why);
    case 'batterUp':
      return isText(event.batter);
    case 'sub':
      return isSide(event.team) && isListOf(event.moves, isSubstitution) && event.moves.length > 0;
    case 'courtesy':
      return isSide(event.team) && isText(event.base) && isText(event.runner);
    case 'placed':
      return isText(event.base) && isText(event.runner);
    case 'absent':
    case 'arrived':
      return isSide(event.team) && isText(event.player);
    case 'visit':
      return isSide(event.team);
    case 'reading':
      return isText(event.reading) && isText(event.person) && isText(event.what);
    case 'ended':
      return isText(event.why) && (event.winner === undefined || isSide(event.winner));
    case 'correction':
      return isFields(event.set);
    default:
      return true;
  }
}
