import type { PracticeRecord } from '@bradyon/contract/drills';
import { STATION_NAMES, type OwnStation } from '@bradyon/core/drills';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { newId } from '../../api/index.ts';
import { Sortable, SortableRow } from '../../ui/sortable/index.ts';
import { Draft } from './Draft.tsx';
import type { KeptPractice } from './practiceChange.ts';
import { stationName } from './timetable.ts';
import { STATION_TEXT } from './words.ts';

const MOST_STATIONS = 8;
const MOST_OWN = 12;

/** The circle: dragged into another order, each exchanged, taken out or added; the coach's own among them. */
export function Stations({
  practice,
  change,
}: {
  practice: KeptPractice;
  change: (parts: Partial<PracticeRecord>) => void;
}) {
  const { order, own } = practice;
  const [name, setName] = useState('');
  // A station may come twice: what is dragged is a place.
  const seen = new Map<string, number>();
  const ids = order.map((each) => {
    const nth = (seen.get(each) ?? 0) + 1;
    seen.set(each, nth);
    return `${each} ${String(nth)}`;
  });
  const stationOf = (id: string): string => order[ids.indexOf(id)] ?? '';
  const put = (next: string[]): void => {
    change({ order: next, own: own.filter(({ id }) => next.includes(id) || order.includes(id)) });
  };
  const addOwn = (): void => {
    const station: OwnStation = { id: newId(), name: name.trim(), notes: '' };
    change({ own: [...own, station], order: [...order, station.id] });
    setName('');
  };
  return (
    <>
      <Sortable
        ids={ids}
        onMove={(next) => {
          change({ order: next.map(stationOf) });
        }}
      >
        <ol className="practice-order">
          {ids.map((id, nth) => {
            const station = stationOf(id);
            return (
              <SortableRow key={id} id={id} label={`Move ${stationName(practice, station)}`}>
                <Form.Select
                  aria-label={`Station ${String(nth + 1)}`}
                  value={station}
                  onChange={({ target }) => {
                    put(order.map((each, at) => (at === nth ? target.value : each)));
                  }}
                >
                  {STATION_NAMES.map((each) => (
                    <option key={each} value={each}>
                      {STATION_TEXT[each]}
                    </option>
                  ))}
                  {own.map((each) => (
                    <option key={each.id} value={each.id}>
                      {each.name}
                    </option>
                  ))}
                </Form.Select>
                <Button
                  variant="link"
                  aria-label={`Remove ${stationName(practice, station)}`}
                  disabled={order.length <= 1}
                  onClick={() => {
                    put(order.filter((_, at) => at !== nth));
                  }}
                >
                  Remove
                </Button>
              </SortableRow>
            );
          })}
        </ol>
      </Sortable>
      <div className="practice-add">
        <Button
          variant="outline-primary"
          disabled={order.length >= MOST_STATIONS}
          onClick={() => {
            const free = STATION_NAMES.find((each) => !order.includes(each)) ?? 'starts';
            change({ order: [...order, free] });
          }}
        >
          Add a station
        </Button>
        <Form.Control
          aria-label="Your own station"
          placeholder="Your own station"
          value={name}
          maxLength={40}
          onChange={({ target }) => {
            setName(target.value);
          }}
        />
        <Button
          variant="outline-primary"
          disabled={name.trim() === '' || order.length >= MOST_STATIONS || own.length >= MOST_OWN}
          onClick={addOwn}
        >
          Add yours
        </Button>
      </div>
      {own.map((station) => (
        <Draft
          key={station.id}
          id={`own-${station.id}`}
          label={`${station.name}: what to do`}
          value={station.notes}
          most={500}
          onSave={(notes) => {
            change({
              own: own.map((each) => (each.id === station.id ? { ...each, notes } : each)),
            });
          }}
        />
      ))}
    </>
  );
}
