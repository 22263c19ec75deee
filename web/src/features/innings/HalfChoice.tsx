import { Choice } from '../../ui/index.ts';
import type { OddsInView } from './useOdds.ts';

/** In which half we bat: at the top we are the visitors. */
export function HalfChoice({ view: { situation, set } }: { view: OddsInView }) {
  return (
    <Choice
      label="We bat in the"
      value={situation.half}
      options={[
        { value: 'top', text: 'Top' },
        { value: 'bottom', text: 'Bottom' },
      ]}
      onChange={(half) => {
        set({ half });
      }}
    />
  );
}
