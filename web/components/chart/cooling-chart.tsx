import {
  Chart,
  Filler,
  LinearScale,
  LineElement,
  type Plugin,
  PointElement,
  ScatterController,
} from 'chart.js';
import { memo, useRef, useState } from 'react';
import { Scatter } from 'react-chartjs-2';
import styled from 'styled-components';
import { useThemeColours } from '../../theme/use-theme';
import { hourMinute, temperature } from '../../words';

Chart.register(ScatterController, LineElement, PointElement, LinearScale, Filler);

/** A cooling over time: what was read, the forecast with its band, both limits. */
export interface CoolingChartProps {
  zone: string;
  readings: readonly { atMs: number; tempC: number }[];
  curve: readonly { atMs: number; p10: number; p50: number; p90: number }[];
  /** limits that bend the line down: so cold by then */
  limits: readonly { tempC: number; atMs: number }[];
  description: string;
}

const Box = styled.div`
  position: relative;
  height: 210px;
  min-width: 0;
`;

const HOUR_MS = 3_600_000;
const HALF_HOUR_MS = HOUR_MS / 2;
const FONT = { family: "'Atkinson Hyperlegible Next', sans-serif", size: 14 };

export const CoolingChart = memo(function CoolingChart(props: CoolingChartProps) {
  const ink = useThemeColours();
  const shown = useRef({ props, ink });
  shown.current = { props, ink };
  const [lines] = useState(() => limitLines(() => shown.current));
  const { curve, readings, zone } = props;
  const moments = [...curve, ...readings].map((one) => one.atMs);
  const [from, to] = [Math.min(...moments), Math.max(...moments)];
  const step = to - from > 3 * HOUR_MS ? HOUR_MS : HALF_HOUR_MS;
  const line = (points: { x: number; y: number }[], more: object) => ({
    data: points,
    showLine: true,
    pointRadius: 0,
    ...more,
  });
  const along = (of: 'p10' | 'p50' | 'p90') => curve.map((one) => ({ x: one.atMs, y: one[of] }));
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
              min: Math.floor(from / step) * step,
              max: Math.ceil(to / step) * step,
              grid: { display: false },
              border: { color: ink.line },
              ticks: {
                stepSize: step,
                color: ink.soft,
                font: FONT,
                maxRotation: 0,
                maxTicksLimit: 9,
                callback: (value) => hourMinute(Number(value), zone),
              },
            },
            y: {
              type: 'linear',
              min: 0,
              grid: { color: ink.line },
              border: { display: false },
              ticks: {
                color: ink.soft,
                font: FONT,
                maxTicksLimit: 5,
                callback: (value) => temperature(Number(value)),
              },
            },
          },
        }}
        data={{
          datasets: [
            line(along('p90'), { borderWidth: 0, fill: '+1', backgroundColor: `${ink.act}33` }),
            line(along('p10'), { borderWidth: 0 }),
            line(along('p50'), { borderColor: ink.act, borderWidth: 2.5, borderDash: [7, 5] }),
            {
              data: readings.map((one) => ({ x: one.atMs, y: one.tempC })),
              pointRadius: 6,
              pointBorderWidth: 3,
              pointBorderColor: ink.iron,
              pointBackgroundColor: ink.sheet,
            },
          ],
        }}
        plugins={[lines]}
      />
    </Box>
  );
});

/** Each limit as a corner that the line must pass below, with its hour. */
function limitLines(
  shown: () => { props: CoolingChartProps; ink: ReturnType<typeof useThemeColours> },
): Plugin<'scatter'> {
  return {
    id: 'limit-lines',
    afterDatasetsDraw({ ctx, chartArea, scales }) {
      const { props, ink } = shown();
      ctx.save();
      ctx.font = `${FONT.size}px ${FONT.family}`;
      ctx.lineWidth = 2;
      ctx.setLineDash([9, 6]);
      ctx.strokeStyle = ink.danger;
      ctx.fillStyle = ink.danger;
      for (const { tempC, atMs } of props.limits) {
        const x = scales.x!.getPixelForValue(atMs);
        const y = scales.y!.getPixelForValue(tempC);
        if (x < chartArea.left || x > chartArea.right) continue;
        ctx.beginPath();
        ctx.moveTo(x, chartArea.top);
        ctx.lineTo(x, y);
        ctx.lineTo(chartArea.right, y);
        ctx.stroke();
        const text = `${temperature(tempC)} ${hourMinute(atMs, props.zone)}`;
        const wide = ctx.measureText(text).width;
        ctx.fillText(text, Math.min(x + 6, chartArea.right - wide), Math.min(y - 6, chartArea.top + 14));
      }
      ctx.restore();
    },
  };
}
