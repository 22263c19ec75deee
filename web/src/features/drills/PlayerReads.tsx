import {
  CUES,
  levelOf,
  nextShown,
  type Cue,
  type KeptRep,
  type ReadRep,
} from '@bradyon/core/drills';
import { useState } from 'react';
import { PickOne } from '../../ui/index.ts';
import './Drills.scss';
import { ReadTrainer } from './ReadTrainer.tsx';
import { CUE_TEXT } from './words.ts';

/** Reads on a player's own phone: it knows those of this round only, and starts where everybody does. */
export function PlayerReads({ first, onAnswer }: { first: Cue; onAnswer: (rep: ReadRep) => void }) {
  const [cue, setCue] = useState(first);
  const [own, setOwn] = useState<KeptRep<ReadRep>[]>([]);
  const right = own.filter(({ rep }) => rep.signal === rep.went).length;
  return (
    <>
      <PickOne
        label="What is read"
        value={cue}
        options={CUES.map((value) => ({ value, text: CUE_TEXT[value] }))}
        onChange={(value) => {
          setCue(value as Cue);
        }}
      />
      <ReadTrainer
        key={cue}
        cue={cue}
        shownSeconds={nextShown(levelOf(own, cue, new Date()))}
        own={null}
        onAnswer={(rep) => {
          setOwn([...own, { personId: null, takenAt: new Date().toISOString(), rep }]);
          onAnswer(rep);
        }}
      />
      {own.length > 0 && (
        <p>
          {right} of {own.length} right.
        </p>
      )}
    </>
  );
}
