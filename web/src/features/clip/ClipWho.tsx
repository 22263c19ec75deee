import { DELIVERY_STYLES } from '@bradyon/core/timing';
import { Choice } from '../../ui/index.ts';
import {
  CatcherSelect,
  FacingSelect,
  PersonSelect,
  PitcherSelect,
  RunnerSelect,
  usePlaying,
} from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { BASE_WORDS, PITCHED, STYLE_WORDS } from '../timing/index.ts';
import type { Marking } from './useMarking.ts';

/** Whose times they are, and what goes with them. */
export function ClipWho({ marking }: { marking: Marking }) {
  const team = useTeam();
  const { playing, onField, pick } = usePlaying(team.id);
  const { kinds } = marking;
  const isTheirs = kinds.some((kind) => [...PITCHED, 'pop', 'outfieldThrow'].includes(kind));
  return (
    <section className="card-box clip-form">
      {isTheirs && <FacingSelect />}
      {kinds.some((kind) => PITCHED.includes(kind)) && <PitcherSelect label="Pitcher" />}
      {kinds.includes('pop') && <CatcherSelect label="Catcher" />}
      {kinds.includes('outfieldThrow') && (
        <PersonSelect
          label="Outfielder"
          people={onField.fielders}
          position={{ position: ['LF', 'CF', 'RF'], players: 'Outfielders' }}
          value={marking.fielder}
          onChange={marking.setFielderId}
        />
      )}
      {!isTheirs && <RunnerSelect />}
      {kinds.includes('delivery') && (
        <Choice
          label="Delivery"
          options={DELIVERY_STYLES.map((value) => ({ value, text: STYLE_WORDS[value] }))}
          value={playing.style}
          onChange={(style) => {
            pick({ style });
          }}
        />
      )}
      {marking.base !== null && (
        <Choice
          label="Base"
          options={marking.bases.map((value) => ({ value, text: BASE_WORDS[value] }))}
          value={marking.base}
          onChange={marking.setBase}
        />
      )}
    </section>
  );
}
