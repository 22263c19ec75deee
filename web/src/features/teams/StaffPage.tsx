import type { Invite, Member, OpenInvite, ResetCode } from '@bradyon/contract/teams';
import type { InviteId } from '@bradyon/core/units';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { KeyRound, Trash2, UserMinus, UserPlus, X } from 'lucide-react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import Modal from 'react-bootstrap/Modal';
import { useNavigate } from 'react-router';
import { newId, request } from '../../api/index.ts';
import {
  Failure,
  FormField,
  FormDialog,
  Loading,
  longDate,
  notify,
  useTitle,
} from '../../ui/index.ts';
import './StaffPage.scss';
import { TeamTabs } from './TeamTabs.tsx';
import { useTeam } from './useTeams.ts';

/** Who keeps the times, and how somebody new gets in. */
export function StaffPage() {
  useTitle('Staff');
  const team = useTeam();
  const base = `/api/teams/${team.id}`;
  const members = useQuery({
    queryKey: ['members', team.id],
    queryFn: () => request<Member[]>('GET', `${base}/members`),
  });
  return (
    <>
      <div className="page-head">
        <h1>Team</h1>
        <TeamTabs />
      </div>
      <div className="staff">
        <section className="card-box">
          <h2>Staff</h2>
          {members.data ? (
            <MemberList members={members.data} />
          ) : members.error ? (
            <Failure error={members.error} retry={() => void members.refetch()} />
          ) : (
            <Loading what="your staff" />
          )}
        </section>
        {team.role === 'owner' && <Invitations base={base} />}
        {team.role === 'owner' && <DeleteTeam />}
      </div>
    </>
  );
}

function MemberList({ members }: { members: Member[] }) {
  const team = useTeam();
  const client = useQueryClient();
  const [leaving, setLeaving] = useState<Member | null>(null);
  const remove = useMutation({
    mutationFn: (member: Member) =>
      request('DELETE', `/api/teams/${team.id}/members/${member.accountId}`),
    onSuccess: () => client.invalidateQueries({ queryKey: ['members', team.id] }),
    onError: ({ message }) => {
      notify(message);
    },
    onSettled: () => {
      setLeaving(null);
    },
  });
  return (
    <ul className="staff-list">
      {members.map((member) => (
        <li key={member.accountId}>
          <span>
            <strong>{member.name}</strong>{' '}
            <span className="quiet">{member.role === 'owner' ? 'owner' : 'assistant'}</span>
          </span>
          {team.role === 'owner' && member.role === 'assistant' && (
            <span className="staff-ways">
              <ResetCodeButton member={member} />
              <Button
                variant="outline-primary"
                onClick={() => {
                  setLeaving(member);
                }}
              >
                <UserMinus size={18} aria-hidden="true" /> Remove
              </Button>
            </span>
          )}
        </li>
      ))}
      {/* Asked, because it cannot be undone from here: they need a new code to come back. */}
      <Modal
        show={leaving !== null}
        centered
        onHide={() => {
          setLeaving(null);
        }}
      >
        <Modal.Header closeButton>
          <Modal.Title>Remove {leaving?.name} from the staff?</Modal.Title>
        </Modal.Header>
        <Modal.Body>Their times stay. They need a new code to come back.</Modal.Body>
        <Modal.Footer>
          <Button
            variant="outline-primary"
            onClick={() => {
              setLeaving(null);
            }}
          >
            Keep
          </Button>
          <Button
            onClick={() => {
              if (leaving) remove.mutate(leaving);
            }}
          >
            Remove
          </Button>
        </Modal.Footer>
      </Modal>
    </ul>
  );
}

/** A code for a new password: there is no mail, so it is read out or written down. */
function ResetCodeButton({ member }: { member: Member }) {
  const team = useTeam();
  const make = useMutation({
    mutationFn: () =>
      request<ResetCode>('POST', `/api/teams/${team.id}/members/${member.accountId}/reset-code`),
    onError: ({ message }) => {
      notify(message);
    },
  });
  if (make.data) {
    return (
      <span role="status">
        Code for {member.name}: <strong className="figure">{make.data.code}</strong>
      </span>
    );
  }
  return (
    <Button
      variant="outline-primary"
      disabled={make.isPending}
      onClick={() => {
        make.mutate();
      }}
    >
      <KeyRound size={18} aria-hidden="true" /> New password
    </Button>
  );
}

/** The end of a team. Its name is typed, because nothing brings it back. */
function DeleteTeam() {
  const team = useTeam();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [isAsking, setIsAsking] = useState(false);
  const [typed, setTyped] = useState('');
  const remove = useMutation({
    mutationFn: () => request('DELETE', `/api/teams/${team.id}`),
    onSuccess: async () => {
      await navigate('/');
      await client.invalidateQueries({ queryKey: ['teams'] });
    },
  });
  const isSure = typed.trim() === team.name;
  return (
    <section className="card-box staff-invites">
      <h2>Delete the team</h2>
      <p className="quiet">Everything is deleted. Export the team under Files first.</p>
      <Button
        variant="outline-primary"
        onClick={() => {
          setIsAsking(true);
        }}
      >
        <Trash2 size={18} aria-hidden="true" /> Delete team
      </Button>
      {isAsking && (
        <FormDialog
          title={`Delete ${team.name}?`}
          action="Delete team"
          failure={remove.error?.message ?? null}
          submitting={remove.isPending || !isSure}
          submit={async (event) => {
            event?.preventDefault();
            if (isSure) await remove.mutateAsync().catch(() => undefined);
          }}
          onClose={() => {
            setIsAsking(false);
          }}
        >
          <p>Players, times and lineups are deleted forever, for the whole staff.</p>
          <FormField label={`Type ${team.name} to confirm`}>
            {(field) => (
              <Form.Control
                {...field}
                autoComplete="off"
                value={typed}
                onChange={({ target }) => {
                  setTyped(target.value);
                }}
              />
            )}
          </FormField>
        </FormDialog>
      )}
    </section>
  );
}

function Invitations({ base }: { base: string }) {
  const client = useQueryClient();
  const [fresh, setFresh] = useState<Invite | null>(null);
  const [many, setMany] = useState(false);
  const invites = useQuery({
    queryKey: ['invites', base],
    queryFn: () => request<OpenInvite[]>('GET', `${base}/invites`),
  });
  const refresh = () => client.invalidateQueries({ queryKey: ['invites', base] });
  const invite = useMutation({
    mutationFn: () => request<Invite>('POST', `${base}/invites`, { id: newId<InviteId>(), many }),
    onSuccess: (made) => {
      setFresh(made);
      return refresh();
    },
    onError: ({ message }) => {
      notify(message);
    },
  });
  const withdraw = useMutation({
    mutationFn: (id: InviteId) => request('DELETE', `${base}/invites/${id}`),
    onSuccess: (_nothing, id) => {
      if (fresh?.id === id) setFresh(null);
      return refresh();
    },
    onError: ({ message }) => {
      notify(message);
    },
  });
  return (
    <section className="card-box staff-invites">
      <h2>Invite an assistant</h2>
      <p className="quiet">
        Assistants can time and edit rosters. Give the code only to your own staff. It works for
        seven days.
      </p>
      {fresh && (
        <div className="staff-code" role="status">
          <strong className="figure">{fresh.code}</strong>
          <span>Write it down or send it now. It is not shown again.</span>
        </div>
      )}
      <Form.Check
        id="invite-many"
        label="More than one person may use it"
        checked={many}
        onChange={({ target }) => {
          setMany(target.checked);
        }}
      />
      <Button
        disabled={invite.isPending}
        onClick={() => {
          invite.mutate();
        }}
      >
        <UserPlus size={18} aria-hidden="true" /> {fresh ? 'Make another code' : 'Make a code'}
      </Button>
      {invites.data && invites.data.length > 0 && (
        <ul className="staff-list">
          {invites.data.map(({ id, expiresAt, many: isForMany }) => (
            <li key={id}>
              <span>
                {isForMany ? 'For several people' : 'For one person'}, open until{' '}
                {longDate(expiresAt)}
              </span>
              <Button
                variant="outline-primary"
                onClick={() => {
                  withdraw.mutate(id);
                }}
              >
                <X size={18} aria-hidden="true" /> Cancel
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
