import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { Chart } from '../../ui/Chart.tsx';
import { Choice, How, PickOne } from '../../ui/index.ts';
import {
  MAP_TEXT,
  mapOf,
  MAPS,
  onBase,
  MAP_AXES,
  spreadsOf,
  type MapTable,
  type MapAxes,
} from './maps.ts';
import { OUT_TEXT, onText } from './situationWords.ts';
import type { OddsInView } from './useOdds.ts';
import { neededMapWords } from './words.ts';

const SPREAD_TEXT: Record<MapAxes, string> = {
  states: 'Bases and outs',
  innings: 'Inning and lead',
};
const ROW_HEIGHT = 40;

/** The tables behind it as a map, with the number in each cell. */
export function Maps({ view: { game: ours, average, situation, up } }: { view: OddsInView }) {
  const [search, setSearch] = useSearchParams();
  const isLevel = ours !== average && search.get('of') === 'level';
  const game = isLevel ? average : ours;
  const show = (key: 'map' | 'by' | 'of', value: string): void => {
    setSearch(
      (now) => {
        now.set(key, value);
        return now;
      },
      { replace: true },
    );
  };
  const map = MAPS.find((each) => each === search.get('map')) ?? 'runs';
  const spreads = spreadsOf(map);
  const spread =
    MAP_AXES.find((each) => each === search.get('by') && spreads.includes(each)) ??
    spreads[0] ??
    'states';
  const table = mapOf(game, situation, map, spread);
  const where =
    spread === 'states'
      ? map === 'runs' || map === 'score'
        ? ''
        : `, inning ${String(situation.inning)}`
      : `, ${onText(onBase(situation, map).bases)}, ${OUT_TEXT[situation.outs] ?? ''}`;
  const who =
    situation.batting === 'we' && up && game.tables.ours.spots > 1 ? `, ${up.person.name} up` : '';
  return (
    <section className="card-box odds-maps">
      <div className="odds-maps-head">
        <h2>
          {MAP_TEXT[map]}
          {where}
          {who}
        </h2>
        <PickOne
          label="Map"
          value={map}
          options={MAPS.map((value) => ({ value, text: MAP_TEXT[value] }))}
          onChange={(value) => {
            show('map', value);
          }}
        />
        {spreads.length > 1 && (
          <Choice
            label="Over"
            value={spread}
            options={spreads.map((value) => ({ value, text: SPREAD_TEXT[value] }))}
            onChange={(value) => {
              show('by', value);
            }}
          />
        )}
        {ours !== average && (
          <Choice
            label="Whose"
            value={isLevel ? 'level' : 'game'}
            options={[
              { value: 'game', text: situation.batting === 'we' ? 'Your lineup' : 'Them' },
              { value: 'level', text: 'Level average' },
            ]}
            onChange={(value) => {
              show('of', value);
            }}
          />
        )}
      </div>
      <HeatMap table={table} name={MAP_TEXT[map]} />
      <How>
        <p>{neededMapWords(map)}</p>
      </How>
    </section>
  );
}

/** Drawn for the eye; the table beside it is for who does not see it. */
function HeatMap({ table, name }: { table: MapTable; name: string }) {
  // Drawn anew only when a figure changes.
  const shown = JSON.stringify(table);
  const option = useMemo(() => {
    const { columns, rows } = JSON.parse(shown) as MapTable;
    const cells = rows.flatMap(({ cells: own }, y) =>
      own.flatMap((cell, x) => (cell ? [{ ...cell, x, y }] : [])),
    );
    // Where it stands is drawn last, so that no neighbour covers its frame.
    cells.sort((a, b) => Number(a.here) - Number(b.here));
    return (colour: (token: string) => string) => ({
      grid: { left: 100, right: 6, top: 28, bottom: 4 },
      xAxis: {
        type: 'category',
        position: 'top',
        data: columns,
        axisLine: { show: false },
        axisTick: { show: false },
        axisLabel: { color: colour('--ink-quiet'), interval: 0, fontSize: 13 },
      },
      yAxis: {
        type: 'category',
        inverse: true,
        data: rows.map((row) => row.name),
        axisLine: { show: false },
        axisTick: { show: false },
        axisLabel: { color: colour('--ink-quiet'), fontSize: 13 },
      },
      visualMap: {
        show: false,
        min: 0,
        max: 1,
        dimension: 2,
        inRange: { color: [colour('--card'), colour('--map-strong')] },
      },
      series: [
        {
          type: 'heatmap',
          silent: true,
          data: cells.map(({ x, y, share, text, here }) => ({
            value: [x, y, share],
            label: { formatter: text },
            itemStyle: here ? { borderColor: colour('--ink'), borderWidth: 3 } : {},
          })),
          label: { show: true, color: colour('--ink'), fontSize: 15, fontWeight: 650 },
          itemStyle: { borderColor: colour('--card'), borderWidth: 2 },
        },
      ],
    });
  }, [shown]);
  return (
    <>
      <Chart height={34 + table.rows.length * ROW_HEIGHT} option={option} words="" />
      <table className="visually-hidden">
        <caption>{name}</caption>
        <thead>
          <tr>
            <td />
            {table.columns.map((column) => (
              <th key={column} scope="col">
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map((row) => (
            <tr key={row.name}>
              <th scope="row">{row.name}</th>
              {row.cells.map((cell, index) => (
                <td key={table.columns[index]} aria-current={cell?.here ? 'true' : undefined}>
                  {cell?.text ?? 'none'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
