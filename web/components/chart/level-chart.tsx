import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  type Plugin,
  PointElement,
  ScatterController,
} from 'chart.js';
import { memo, useRef, useState } from 'react';
import { Scatter } from 'react-chartjs-2';
import styled from 'styled-components';

import { useThemeColours } from '../../theme/use-theme';
import { commonWords, hourMinute, potUnit } from '../../words';

Chart.register(LineController, ScatterController, LineElement, PointElement, LinearScale, Filler);

/** A level over time: what was read, what is estimated, the forecast's band, the mark, the service. */
export interface LevelChartProps {
  zone: string;
  readings: readonly { atMs: number; litres: number; isDoubted: boolean }[];
  trace: readonly { atMs: number; litres: number }[];
  band: readonly { atMs: number; lowLitres: number; highLitres: number; litres: number }[];
  markLitres: number | null;
  servedAtMs: number | null;
  /** when heat or lid was changed, in a word or two */
  changes?: readonly { atMs: number; text: string }[];
  description: string;
}

const Box = styled.div`
  position: relative;
  min-width: 0;
  min-height: 130px;
  height: 100%;
`;

const MINUTE = 60_000;
const FONT = { family: "'Atkinson Hyperlegible Next', sans-serif", size: 14 };

/** Chart.js behind one neutral shape; nothing else in the house knows of it. Drawn anew when it is given something new. */
export const LevelChart = memo(function LevelChart(props: LevelChartProps) {
  const ink = useThemeColours();
  // the chart takes its plugins once, as it is made; what they draw is looked up as they draw it
  const shown = useRef({ props, ink });
  shown.current = { props, ink };
  const [lines] = useState(() => markLines(() => shown.current));
  const xs = [...props.trace, ...props.band, ...props.readings].map((one) => one.atMs);
  const from = Math.min(...xs);
  const to = Math.max(...xs, props.servedAtMs ?? 0);
  // drawn in the kitchen's own unit, so that its ticks are round
  const { perLitre, unit } = potUnit();
  const ys = [...props.trace.map((one) => one.litres), ...props.band.map((one) => one.highLitres)].map(
    (litres) => litres * perLitre,
  );
  const low = Math.min(
    ...ys,
    props.markLitres === null ? Number.POSITIVE_INFINITY : props.markLitres * perLitre,
  );
  const step = tickMinutes((to - from) / MINUTE);
  const font = FONT;
  const line = (points: readonly { x: number; y: number }[], more: object) => ({
    data: [...points],
    showLine: true,
    pointRadius: 0,
    ...more,
  });
  return (
    <Box>
      <Scatter
        aria-label={props.description}
        options={{
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          layout: { padding: { top: 6, right: 10 } },
          events: [],
          scales: {
            x: {
              type: 'linear',
              min: Math.floor(from / (step * MINUTE)) * step * MINUTE,
              max: Math.ceil(to / (step * MINUTE)) * step * MINUTE,
              grid: { display: false },
              border: { color: ink.line },
              ticks: {
                stepSize: step * MINUTE,
                color: ink.soft,
                font,
                maxRotation: 0,
                callback: (value) => hourMinute(Number(value), props.zone),
              },
            },
            y: {
              type: 'linear',
              suggestedMin: Math.max(0, Math.floor(low - 1)),
              suggestedMax: Math.ceil(Math.max(...ys) + 0.5),
              grid: { color: ink.line },
              border: { display: false },
              ticks: { color: ink.soft, font, maxTicksLimit: 5, callback: (value) => `${value} ${unit}` },
            },
          },
        }}
        data={{
          datasets: [
            line(
              props.band.map((one) => ({ x: one.atMs, y: one.highLitres * perLitre })),
              { borderWidth: 0, fill: '+1', backgroundColor: `${ink.act}33` },
            ),
            line(
              props.band.map((one) => ({ x: one.atMs, y: one.lowLitres * perLitre })),
              { borderWidth: 0 },
            ),
            line(
              props.band.map((one) => ({ x: one.atMs, y: one.litres * perLitre })),
              { borderColor: ink.act, borderWidth: 2.5, borderDash: [7, 5] },
            ),
            line(
              props.trace.map((one) => ({ x: one.atMs, y: one.litres * perLitre })),
              { borderColor: ink.iron, borderWidth: 2.5 },
            ),
            {
              data: props.readings.map((one) => ({ x: one.atMs, y: one.litres * perLitre })),
              pointRadius: 6,
              pointBorderWidth: 3,
              pointStyle: props.readings.map((one) => (one.isDoubted ? 'crossRot' : 'circle')),
              pointBorderColor: props.readings.map((one) => (one.isDoubted ? ink.danger : ink.iron)),
              pointBackgroundColor: ink.sheet,
            },
          ],
        }}
        plugins={[lines]}
      />
    </Box>
  );
});

/** The mark to fall to, and the moment of service, written where they are. */
function markLines(
  shown: () => { props: LevelChartProps; ink: ReturnType<typeof useThemeColours> },
): Plugin<'scatter'> {
  return {
    id: 'mark-lines',
    afterDatasetsDraw({ ctx, chartArea, scales }) {
      const { props, ink } = shown();
      ctx.save();
      ctx.font = `${FONT.size}px ${FONT.family}`;
      ctx.lineWidth = 2;
      if (props.markLitres !== null) {
        const y = scales.y!.getPixelForValue(props.markLitres * potUnit().perLitre);
        ctx.strokeStyle = ink.danger;
        ctx.fillStyle = ink.danger;
        ctx.setLineDash([9, 6]);
        ctx.beginPath();
        ctx.moveTo(chartArea.left, y);
        ctx.lineTo(chartArea.right, y);
        ctx.stroke();
        ctx.fillText(commonWords.markL(props.markLitres), chartArea.left + 6, y - 6);
      }
      ctx.setLineDash([2, 4]);
      ctx.strokeStyle = ink.edge;
      ctx.fillStyle = ink.soft;
      let rightOfLast = Number.NEGATIVE_INFINITY;
      for (const change of props.changes ?? []) {
        const x = scales.x!.getPixelForValue(change.atMs);
        if (x < chartArea.left || x > chartArea.right) continue;
        ctx.beginPath();
        ctx.moveTo(x, chartArea.top);
        ctx.lineTo(x, chartArea.bottom);
        ctx.stroke();
        const wide = ctx.measureText(change.text).width;
        if (x < rightOfLast || x + wide > chartArea.right) continue;
        ctx.fillText(change.text, x + 4, chartArea.bottom - 6);
        rightOfLast = x + wide + 10;
      }
      if (props.servedAtMs !== null) {
        const x = scales.x!.getPixelForValue(props.servedAtMs);
        ctx.strokeStyle = ink.lookIn;
        ctx.fillStyle = ink.lookIn;
        ctx.setLineDash([]);
        ctx.beginPath();
        ctx.moveTo(x, chartArea.top);
        ctx.lineTo(x, chartArea.bottom);
        ctx.stroke();
        const text = commonWords.served(hourMinute(props.servedAtMs, props.zone));
        ctx.fillText(
          text,
          Math.min(x + 6, chartArea.right - ctx.measureText(text).width - 4),
          chartArea.top + 14,
        );
      }
      ctx.restore();
    },
  };
}

function tickMinutes(spanMinutes: number): number {
  return [5, 10, 15, 30, 60, 120].find((step) => spanMinutes / step <= 7) ?? 240;
}
