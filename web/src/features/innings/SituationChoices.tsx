import { Choice } from '../../ui/index.ts';
import type { OddsInView } from './useOdds.ts';

type Asked = Pick<OddsInView, 'situation' | 'set'>;

export function OutsChoice({ situation, set }: Asked) {
  return (
    <Choice
      label="Outs"
      value={String(situation.outs)}
      options={['0', '1', '2'].map((value) => ({ value, text: `${value} out` }))}
      onChange={(outs) => {
        set({ outs: Number(outs) });
      }}
    />
  );
}

/** What counts: the game, or the runs of this half. */
export function PlayForChoice({ situation, set }: Asked) {
  return (
    <Choice
      label="Play for"
      value={situation.by}
      options={[
        { value: 'win', text: 'The win' },
        { value: 'runs', text: 'Runs' },
      ]}
      onChange={(by) => {
        set({ by });
      }}
    />
  );
}

/** By hand or as in the game, where one is open on this device. */
export function FromChoice({ situation, set, hasGame }: Asked & Pick<OddsInView, 'hasGame'>) {
  if (!hasGame) return null;
  return (
    <Choice
      label="Situation"
      value={situation.from}
      options={[
        { value: 'hand', text: 'Set by hand' },
        { value: 'game', text: 'As in the game' },
      ]}
      onChange={(from) => {
        set({ from });
      }}
    />
  );
}
