import type { GateAnswer, GateDevice, GateRun, NewGateDevice } from '@bradyon/contract/gates';
import { makeRandom, normalDraw } from '@bradyon/core/maths';
import { simulateGateRun } from '@bradyon/core/sprint';
import { LEVELS, type LevelName } from '@bradyon/core/timing';
import type { GateDeviceId, GateRunId, PersonId, TeamId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { newId, request } from '../../api/index.ts';

const POLL_MS = 4000;
/** At the base, early in the start, at speed, and at the touch. */
const BEAMS_FEET = [0, 10, 30] as const;

/** The devices of a team and what they saw. */
export function useGates(teamId: TeamId) {
  const client = useQueryClient();
  const base = `/api/teams/${teamId}`;
  const devices = useQuery({
    queryKey: ['gate-devices', teamId],
    queryFn: () => request<GateDevice[]>('GET', `${base}/gate-devices`),
  });
  const runs = useQuery({
    queryKey: ['gate-runs', teamId],
    queryFn: () => request<GateRun[]>('GET', `${base}/gate-runs`),
    refetchInterval: POLL_MS,
  });
  const refresh = async (): Promise<void> => {
    await Promise.all(
      ['gate-devices', 'gate-runs', 'readings'].map((key) =>
        client.invalidateQueries({ queryKey: [key, teamId] }),
      ),
    );
  };
  const add = useMutation({
    mutationFn: (name: string) =>
      request<NewGateDevice>('POST', `${base}/gate-devices`, { id: newId<GateDeviceId>(), name }),
    onSuccess: refresh,
  });
  const remove = useMutation({
    mutationFn: (id: GateDeviceId) => request('DELETE', `${base}/gate-devices/${id}`),
    onSuccess: refresh,
  });
  const setRunner = useMutation({
    mutationFn: ({ id, personId }: { id: GateDeviceId; personId: PersonId | null }) =>
      request('PUT', `${base}/gate-devices/${id}/runner`, { personId }),
    onSuccess: refresh,
  });
  return { devices, runs, add, remove, setRunner, refresh };
}

/**
 * Sends a simulated run the way a real set of gates does: over the documented format, with the token.
 * @param touchFeet where the last beam stands
 */
export async function sendSimulatedRun(
  token: string,
  level: LevelName,
  touchFeet: number,
): Promise<GateAnswer> {
  const random = makeRandom(crypto.getRandomValues(new Uint32Array(1))[0] ?? 1);
  const { topSpeed, accelerationSeconds } = LEVELS[level];
  const curve = {
    topSpeed: normalDraw(random, topSpeed, topSpeed * 0.02),
    accelerationSeconds,
    startSpeed: 0,
  };
  const response = await fetch('/api/gates/events', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${token}` },
    body: JSON.stringify({
      id: newId<GateRunId>(),
      type: 'run',
      takenAt: new Date().toISOString(),
      beams: simulateGateRun(random, curve, [...BEAMS_FEET, touchFeet]),
    }),
  });
  const body = (await response.json()) as GateAnswer & { detail: string };
  if (!response.ok) throw new Error(body.detail);
  return body;
}
