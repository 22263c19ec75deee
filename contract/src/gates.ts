import { describeBeamMisfit, type Beam } from '@bradyon/core/timing';
import type { GateDeviceId, GateRunId, PersonId } from '@bradyon/core/units';
import {
  contract,
  id,
  instant,
  listContract,
  listOf,
  nullable,
  number,
  oneOf,
  optional,
  required,
  rowsOf,
  text,
  type Misfit,
} from './rule.ts';

/** What a device sends: a run through its beams, or the flight of a pitch as radar has it. */
export interface GateEvent {
  id: GateRunId;
  type: 'run' | 'pitch';
  /** Whose it is: his shirt number on our roster. Left out: whoever the app says is at the gates. */
  number?: string;
  takenAt: string;
  /** Of a run. */
  beams?: Beam[];
  /** Of a pitch: release to plate. */
  seconds?: number;
}

/** What became of it, for a device that has a display. */
export interface GateAnswer {
  personName: string;
  /** How many readings it made. */
  readings: number;
  missedFeet: number[];
}

export interface GateDeviceDraft {
  id: GateDeviceId;
  name: string;
}
export interface GateDevice extends GateDeviceDraft {
  runnerId: PersonId | null;
  createdAt: string;
}
/** A device just set up. Its token is shown once and kept only as a hash. */
export interface NewGateDevice extends GateDevice {
  token: string;
}
export interface AtTheGates {
  personId: PersonId | null;
}

export interface GateRun {
  id: GateRunId;
  deviceName: string;
  personId: PersonId;
  takenAt: string;
  beams: Beam[];
}

const beam = contract<Beam>({
  feet: required(
    number('Enter where the beam stands, 0 to 400 ft.', { min: 0, max: 400, decimals: 2 }),
  ),
  seconds: required(
    nullable(
      number('Enter seconds from the first beam, or null.', { min: 0, max: 60, decimals: 3 }),
    ),
  ),
});

function beamMisfit(beams: readonly Beam[]): Misfit | null {
  const message = describeBeamMisfit(beams);
  return message === null ? null : { path: 'beams', message };
}

export const gateEventContract = contract<GateEvent>(
  {
    id: required(id<GateRunId>()),
    type: required(oneOf(['run', 'pitch'], 'Send a run or a pitch.')),
    number: optional(
      text('Send a jersey number of one to three digits.', { max: 3, pattern: /^\d{1,3}$/ }),
    ),
    takenAt: required(instant('Say when it was timed.')),
    beams: optional(rowsOf(beam, 20)),
    seconds: optional(
      number('Send the flight in seconds, .2 to 1.5: times are kept, not speeds.', {
        min: 0.2,
        max: 1.5,
        decimals: 3,
      }),
    ),
  },
  ({ type, beams, seconds }) => {
    if (type === 'pitch') {
      return seconds === undefined || beams !== undefined
        ? { path: 'seconds', message: 'A pitch needs seconds and has no beams.' }
        : null;
    }
    if (beams === undefined || seconds !== undefined) {
      return { path: 'beams', message: 'A run needs beams and has no seconds of its own.' };
    }
    return beamMisfit(beams);
  },
);

export const gateAnswerContract = contract<GateAnswer>({
  personName: required(text('A name.', { max: 80 })),
  readings: required(number('A count.', { min: 0, max: 40 })),
  missedFeet: required(listOf(number('Feet.', { min: 0, max: 400 }), 20)),
});

const deviceFields = {
  id: required(id<GateDeviceId>()),
  name: required(text('Name the device, up to 40 letters.', { max: 40 })),
};
const keptFields = {
  ...deviceFields,
  runnerId: required(nullable(id<PersonId>())),
  createdAt: required(instant('An instant.')),
};
export const gateDeviceDraftContract = contract<GateDeviceDraft>(deviceFields);
export const gateDeviceContract = contract<GateDevice>(keptFields);
export const newGateDeviceContract = contract<NewGateDevice>({
  ...keptFields,
  token: required(text('A token.', { max: 80 })),
});
export const gateDevicesContract = listContract(gateDeviceContract);
export const atTheGatesContract = contract<AtTheGates>({
  personId: required(nullable(id<PersonId>('Choose a player on your roster, or nobody.'))),
});

export const gateRunContract = contract<GateRun>(
  {
    id: required(id<GateRunId>()),
    deviceName: required(text('A name.', { max: 40 })),
    personId: required(id<PersonId>()),
    takenAt: required(instant('An instant.')),
    beams: required(rowsOf(beam, 20)),
  },
  ({ beams }) => beamMisfit(beams),
);
export const gateRunsContract = listContract(gateRunContract);
