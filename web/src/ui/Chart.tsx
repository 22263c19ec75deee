import { HeatmapChart, LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, VisualMapComponent } from 'echarts/components';
import { init, use as register, type ECharts, type EChartsCoreOption } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { useTheme } from './theme.ts';
import { useWidth } from './useWidth.ts';

// Only what is used, and drawn on a canvas: the content security policy allows no styles in markup.
register([
  LineChart,
  ScatterChart,
  HeatmapChart,
  GridComponent,
  VisualMapComponent,
  CanvasRenderer,
]);

/** A chart in our colours, with a twin in words. */
export function Chart({
  option,
  words,
  height,
}: {
  /** Made with the colours of the theme, asked for by the name of their token. */
  option: (colour: (token: string) => string) => EChartsCoreOption;
  words: string;
  height: number;
}) {
  const [frame, width] = useWidth<HTMLDivElement>(320);
  const canvas = useRef<HTMLDivElement>(null);
  const { isNight } = useTheme();
  const drawn = useRef<ECharts | null>(null);
  useEffect(() => {
    if (!canvas.current) return;
    const chart = init(canvas.current, null, { width, height });
    drawn.current = chart;
    return () => {
      chart.dispose();
      drawn.current = null;
    };
  }, [width, height]);
  // The same canvas is drawn on again: another figure costs no new chart.
  useEffect(() => {
    const styles = getComputedStyle(document.documentElement);
    drawn.current?.setOption(
      {
        animation: false,
        textStyle: { fontFamily: "'Archivo Variable', sans-serif" },
        ...option((token) => styles.getPropertyValue(token).trim()),
      },
      { notMerge: true },
    );
  }, [option, width, height, isNight]);
  return (
    <div ref={frame}>
      <div ref={canvas} aria-hidden="true" />
      {words && <p className="quiet">{words}</p>}
    </div>
  );
}
