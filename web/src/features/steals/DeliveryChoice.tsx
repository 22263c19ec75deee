import { DELIVERY_STYLES } from '@bradyon/core/timing';
import { Choice } from '../../ui/index.ts';
import { usePlaying } from '../people/index.ts';
import { useTeam } from '../teams/index.ts';
import { STYLE_TEXT } from './words.ts';

/** How the pitcher delivers; where nobody leads off there is but one way. */
export function DeliveryChoice() {
  const { id, ruleset } = useTeam();
  const { playing, pick } = usePlaying(id);
  if (ruleset.leadRule !== 'open') return null;
  return (
    <Choice
      label="Delivery"
      value={playing.style}
      options={DELIVERY_STYLES.map((value) => ({ value, text: STYLE_TEXT[value] }))}
      onChange={(style) => {
        pick({ style });
      }}
    />
  );
}
