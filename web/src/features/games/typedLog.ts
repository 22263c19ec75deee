import { proposeRunners, type GameState, type Move, type Telling } from '@bradyon/core/games';

/** What a pencil writes for a pitch or a play, and what it means. */
export const CODES: readonly { code: string; words: string }[] = [
  { code: 'b', words: 'ball' },
  { code: 'c', words: 'called strike' },
  { code: 's', words: 'swing and miss' },
  { code: 'f', words: 'foul' },
  { code: 'hb', words: 'hit batter' },
  { code: 'iw', words: 'intentional walk' },
  { code: '1 2 3 4', words: 'single, double, triple, home run; 1/LF with who fielded it' },
  { code: 'g/SS', words: 'ground out' },
  { code: 'a/CF', words: 'caught in the air' },
  { code: 'p/2B', words: 'pop or line drive caught' },
  { code: 'e/3B', words: 'error' },
  { code: 'fc/SS', words: 'fielder’s choice' },
  { code: 'dp/SS', words: 'double play' },
  { code: 'sac/P', words: 'sacrifice bunt' },
  { code: 'sb cs', words: 'steal of the next base, safe or out' },
  { code: 'k po', words: 'pickoff throw, back or out' },
];

const POSITIONS = ['P', 'C', '1B', '2B', '3B', 'SS', 'LF', 'CF', 'RF'];
const PITCHES: Record<string, 'ball' | 'called' | 'swinging' | 'foul' | 'hitByPitch'> = {
  b: 'ball',
  c: 'called',
  s: 'swinging',
  f: 'foul',
  hb: 'hitByPitch',
};
type Ball = NonNullable<Extract<Telling, { kind: 'pitch' }>['ball']>;
const BALLS: Record<string, Pick<Ball, 'result' | 'contact' | 'double'>> = {
  1: { result: 'single', contact: 'line' },
  2: { result: 'double', contact: 'line' },
  3: { result: 'triple', contact: 'fly' },
  4: { result: 'homeRun', contact: 'fly' },
  g: { result: 'thrownOut', contact: 'ground' },
  a: { result: 'caught', contact: 'fly' },
  p: { result: 'caught', contact: 'pop' },
  e: { result: 'error', contact: 'ground' },
  fc: { result: 'fieldersChoice', contact: 'ground' },
  dp: { result: 'thrownOut', contact: 'ground', double: true },
  sac: { result: 'thrownOut', contact: 'bunt' },
};
const NEXT = { first: 'second', second: 'third', third: 'home' } as const;

/** What one code tells in this state, or what to type instead. */
export function tellingOf(
  code: string,
  state: GameState,
): { ok: true; telling: Telling } | { ok: false; message: string } {
  const [word = '', fielder] = code.split('/');
  const key = word.toLowerCase();
  const wrong = (message: string) => ({ ok: false, message }) as const;
  const position = fielder?.toUpperCase();
  if (position !== undefined && !POSITIONS.includes(position))
    return wrong(`“${code}”: name the fielder as P, C, 1B, 2B, 3B, SS, LF, CF or RF.`);
  const result = PITCHES[key];
  if (result !== undefined) return { ok: true, telling: { kind: 'pitch', result } };
  if (key === 'iw') return { ok: true, telling: { kind: 'intentionalWalk' } };
  const on = ([3, 2, 1] as const).filter((base) => state.bases[base] !== null);
  const names = { 1: 'first', 2: 'second', 3: 'third' } as const;
  if (key === 'sb' || key === 'cs') {
    const goes = on.find((base) => base === 3 || state.bases[(base + 1) as 2 | 3] === null);
    if (goes === undefined) return wrong(`“${code}”: nobody is on with a base to steal.`);
    const from = names[goes];
    const move: Move = key === 'sb' ? { from, to: NEXT[from] } : { from, out: NEXT[from] };
    return { ok: true, telling: { kind: 'steal', style: 'straight', runners: [move] } };
  }
  if (key === 'k' || key === 'po') {
    const base = on.at(-1);
    if (base === undefined) return wrong(`“${code}”: nobody is on base.`);
    return {
      ok: true,
      telling: { kind: 'pick', base: names[base], result: key === 'k' ? 'back' : 'out' },
    };
  }
  const hit = BALLS[key];
  if (!hit) return wrong(`“${code}” is no code. Use those in the list.`);
  const ball: Ball = { ...hit, ...(position !== undefined && { fielders: [position] }) };
  const draft = { kind: 'pitch', result: 'inPlay', ball } as const;
  return {
    ok: true,
    telling: {
      ...draft,
      ...(key === 'sac' && { bunt: 'sacrifice' as const }),
      runners: proposeRunners(state, draft),
    },
  };
}
