import { PITCHES, type Count } from '@bradyon/core/race';
import { commonLeadFeet } from '@bradyon/core/sprint';
import { STEAL_BASES, stealKinds, USUAL_COVER_FEET } from '@bradyon/core/steals';
import { Choice, distance, PickOne, Stepper } from '../../ui/index.ts';
import { useTeam } from '../teams/index.ts';
import { DeliveryChoice } from './DeliveryChoice.tsx';
import { leadOf, useSupposed } from './stealStore.ts';
import type { StealInView } from './useSteal.ts';
import { BASE_TEXT, KIND_TEXT, PITCH_TEXT } from './words.ts';

const COUNTS: Count[] = [0, 1, 2, 3].flatMap((balls) =>
  [0, 1, 2].map((strikes) => ({ balls, strikes })),
);
const countText = ({ balls, strikes }: Count): string => `${String(balls)}-${String(strikes)}`;

/** What a coach thinks in: base, delivery, kind of steal, the pitch expected, who is in the way. */
export function Supposing({ steal }: { steal: StealInView }) {
  const { ruleset } = useTeam();
  const { base, kind, pick, supposed, view } = steal;
  const runner = view?.names.runner;
  const kinds = stealKinds(ruleset, base);
  const usualLead = commonLeadFeet({ kind: 'steal', base: 'second' }, ruleset);
  return (
    <div className="control-row">
      <Choice
        label="Base"
        value={base}
        options={STEAL_BASES.map((value) => ({ value, text: BASE_TEXT[value] }))}
        onChange={(value) => {
          useSupposed.setState({ toHome: value === 'home' });
          if (value !== 'home') pick({ base: value });
        }}
      />
      <DeliveryChoice />
      {kinds.length > 1 && kind && (
        <Choice
          label="Kind of steal"
          value={kind}
          options={kinds.map((value) => ({ value, text: KIND_TEXT[value] }))}
          onChange={(value) => {
            useSupposed.setState({ kind: value });
          }}
        />
      )}
      {kind !== 'delayed' && ruleset.leadRule !== 'reachesBatter' && base !== 'home' && (
        <PickOne
          label="Pitch expected"
          value={supposed.pitch ?? (supposed.count ? countText(supposed.count) : 'any')}
          options={[
            { value: 'any', text: 'Any pitch' },
            ...PITCHES.map((value) => ({ value, text: PITCH_TEXT[value] })),
            ...COUNTS.map((count) => ({
              value: countText(count),
              text: `Any pitch on ${countText(count)}`,
            })),
          ]}
          onChange={(value) => {
            useSupposed.setState({
              pitch: PITCHES.find((pitch) => pitch === value) ?? null,
              count: COUNTS.find((count) => countText(count) === value) ?? null,
            });
          }}
        />
      )}
      {base === 'third' && (
        <PickOne
          label="Batter"
          value={supposed.batter ?? 'any'}
          options={[
            { value: 'any', text: 'Either side' },
            { value: 'right', text: 'Right-handed' },
            { value: 'left', text: 'Left-handed' },
          ]}
          onChange={(value) => {
            useSupposed.setState({ batter: value === 'any' ? null : (value as 'right' | 'left') });
          }}
        />
      )}
      {runner && base === 'second' && kind !== 'delayed' && usualLead !== null && (
        <Stepper
          label="Lead"
          value={leadOf(supposed, runner) ?? usualLead}
          note={
            supposed.lead?.runnerId === runner.id
              ? 'supposed'
              : runner.leadFeet
                ? 'own'
                : 'the usual'
          }
          step={0.5}
          min={4}
          max={20}
          text={distance}
          onChange={(leadFeet) => {
            useSupposed.setState({ lead: { runnerId: runner.id, feet: leadFeet } });
          }}
        />
      )}
      {kind === 'delayed' && (
        <Stepper
          label="Fielder away from the bag"
          value={supposed.coverFeet ?? USUAL_COVER_FEET}
          step={2}
          min={4}
          max={60}
          text={distance}
          onChange={(coverFeet) => {
            useSupposed.setState({ coverFeet });
          }}
        />
      )}
    </div>
  );
}
