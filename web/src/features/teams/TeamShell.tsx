import type { Team } from '@bradyon/contract/teams';
import { describeLeadRule } from '@bradyon/core/rules';
import { LEVELS } from '@bradyon/core/timing';
import { ChevronDown, LogOut, Moon, Sun, UserCog } from 'lucide-react';
import { lazy, Suspense, useEffect, useState, type ReactNode } from 'react';
import Dropdown from 'react-bootstrap/Dropdown';
import { Link, Outlet, useNavigate, useParams } from 'react-router';
import {
  distanceText,
  Empty,
  Failure,
  Loading,
  Mark,
  useDistanceUnit,
  useTheme,
} from '../../ui/index.ts';
import { SignOutDialog, useAccount } from '../accounts/index.ts';
import { Rail } from './Rail.tsx';
import { StripSlotElement } from './StripSlot.tsx';
import './TeamShell.scss';
import { OpenTeam, useLastTeam, useTeams } from './useTeams.ts';

/** Few come in by a code: the others need not wait for it. */
const GuestDoor = lazy(async () => ({ default: (await import('./GuestDoor.tsx')).GuestDoor }));

/** The frame around a team's pages: where things stand on top, the work beside it. */
export function TeamShell({ saving }: { saving: ReactNode }) {
  const { teamId } = useParams();
  const { data: teams, error, refetch } = useTeams();
  const team = teams?.find(({ id }) => id === teamId);
  const [slot, setSlot] = useState<HTMLElement | null>(null);
  useEffect(() => {
    if (team) useLastTeam.setState({ teamId: team.id });
  }, [team]);

  if (!teams) {
    return error ? (
      <Failure error={error} retry={() => void refetch()} />
    ) : (
      <Loading what="your team" />
    );
  }
  if (!team) {
    return (
      <main className="shell-page">
        <Empty title="You have no such team.">
          <p>You may be off its staff, or this link is for another account.</p>
          <Link to="/" className="btn btn-primary">
            Open one of your teams
          </Link>
        </Empty>
      </main>
    );
  }
  return (
    <OpenTeam value={team}>
      <StripSlotElement value={slot}>
        <div className={team.role === 'guest' ? 'shell shell-guest' : 'shell'}>
          <Strip team={team} teams={teams} saving={saving} slotRef={setSlot} />
          {team.role !== 'guest' && <Rail teamId={team.id} />}
          <main className="shell-page" key={team.id}>
            {team.role === 'guest' ? (
              <Suspense fallback={<Loading what="the game" />}>
                <GuestDoor />
              </Suspense>
            ) : (
              <Outlet />
            )}
          </main>
        </div>
      </StripSlotElement>
    </OpenTeam>
  );
}

function Strip({
  team,
  teams,
  saving,
  slotRef,
}: {
  team: Team;
  teams: Team[];
  saving: ReactNode;
  slotRef: (element: HTMLElement | null) => void;
}) {
  const { ruleset } = team;
  const unit = useDistanceUnit();
  return (
    <header className="strip">
      <Link to={`/teams/${team.id}/timing`} className="strip-mark" aria-label="Bradyon, to Time">
        <Mark />
      </Link>
      <TeamSwitch team={team} teams={teams} />
      <dl className="strip-tiles">
        <div>
          <dd>
            {distanceText(ruleset.baseDistanceFeet)} / {distanceText(ruleset.pitchingDistanceFeet)}
          </dd>
          <dt>{unit === 'm' ? 'meters' : 'feet'}</dt>
        </div>
        <div>
          <dd>{ruleset.innings}</dd>
          <dt>innings</dt>
        </div>
        <div>
          <dd>{LEVELS[team.level].label}</dd>
          <dt>{describeLeadRule(ruleset.leadRule)}</dt>
        </div>
      </dl>
      <div className="strip-slot" ref={slotRef} />
      {saving}
      <ThemeSwitch />
      <AccountMenu />
    </header>
  );
}

function TeamSwitch({ team, teams }: { team: Team; teams: Team[] }) {
  const navigate = useNavigate();
  return (
    <Dropdown className="strip-team">
      <Dropdown.Toggle as="button" className="strip-button strip-team-button">
        <span className="strip-name">
          <strong>{team.name}</strong>
          <span>{team.ruleset.name}</span>
        </span>
        <ChevronDown size={18} aria-hidden="true" />
      </Dropdown.Toggle>
      <Dropdown.Menu>
        {teams.map(({ id, name }) => (
          <Dropdown.Item
            key={id}
            active={id === team.id}
            onClick={() => void navigate(`/teams/${id}/timing`)}
          >
            {name}
          </Dropdown.Item>
        ))}
        <Dropdown.Divider />
        <Dropdown.Item onClick={() => void navigate('/teams')}>Create or join a team</Dropdown.Item>
      </Dropdown.Menu>
    </Dropdown>
  );
}

function ThemeSwitch() {
  const { isNight, toggle } = useTheme();
  return (
    <button
      type="button"
      className="strip-button strip-theme"
      aria-label={isNight ? 'Switch to day colors' : 'Switch to night colors'}
      onClick={toggle}
    >
      {isNight ? <Sun size={20} aria-hidden="true" /> : <Moon size={20} aria-hidden="true" />}
    </button>
  );
}

function AccountMenu() {
  const { account } = useAccount();
  const navigate = useNavigate();
  const [isLeaving, setIsLeaving] = useState(false);
  const name = account?.name ?? '';
  const initials = name
    .split(/\s+/)
    .map((word) => word.slice(0, 1))
    .join('')
    .slice(0, 2);
  return (
    <>
      <Dropdown align="end">
        <Dropdown.Toggle
          as="button"
          className="strip-button strip-account"
          aria-label={`Account of ${name}`}
        >
          {initials}
        </Dropdown.Toggle>
        <Dropdown.Menu>
          <Dropdown.Header>{name}</Dropdown.Header>
          <Dropdown.Item as="button" onClick={() => void navigate('/account')}>
            <UserCog size={18} aria-hidden="true" /> Account
          </Dropdown.Item>
          <Dropdown.Item
            as="button"
            onClick={() => {
              setIsLeaving(true);
            }}
          >
            <LogOut size={18} aria-hidden="true" /> Sign out
          </Dropdown.Item>
        </Dropdown.Menu>
      </Dropdown>
      {isLeaving && (
        <SignOutDialog
          onClose={() => {
            setIsLeaving(false);
          }}
        />
      )}
    </>
  );
}
