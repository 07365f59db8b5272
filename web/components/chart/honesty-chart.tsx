import { Chart, LinearScale, type Plugin, PointElement, ScatterController } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import styled from 'styled-components';
import { useThemeColours } from '../../theme/use-theme';
import { commonWords } from '../../words';

Chart.register(ScatterController, PointElement, LinearScale);

/** One forecast: minutes that were really left when it was said, and how far off its three quantiles were. */
export interface HonestPoint {
  leftMin: number;
  earlyMin: number;
  middleMin: number;
  lateMin: number;
  isInside: boolean;
}

const Box = styled.div`
  position: relative;
  height: 260px;
  min-width: 0;
`;

/** Forecasts against what came true: nought is right, above came later than said. The bar is its eight chances in ten. */
export function HonestyChart({
  points,
  description,
}: {
  points: readonly HonestPoint[];
  description: string;
}) {
  const ink = useThemeColours();
  const font = { family: "'Atkinson Hyperlegible Next', sans-serif", size: 14 };
  const reach = Math.max(
    5,
    mostStayUnder(points.flatMap((one) => [Math.abs(one.earlyMin), Math.abs(one.lateMin)])),
  );
  const axis = (text: string) => ({ display: true, text, color: ink.soft, font });
  return (
    <Box>
      <Scatter
        aria-label={description}
        options={{
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          events: [],
          scales: {
            x: {
              type: 'linear',
              min: 0,
              title: axis(commonWords.minutesThatWereLeftWhen),
              grid: { display: false },
              border: { color: ink.line },
              ticks: { color: ink.soft, font },
            },
            y: {
              type: 'linear',
              min: -reach,
              max: reach,
              title: axis(commonWords.saidTooLateMinToo),
              grid: { color: ink.line },
              border: { display: false },
              ticks: { color: ink.soft, font, maxTicksLimit: 6 },
            },
          },
        }}
        data={{
          datasets: [
            {
              data: points.map((one) => ({ x: one.leftMin, y: one.middleMin })),
              pointRadius: 5,
              pointBorderWidth: 2.5,
              pointStyle: points.map((one) => (one.isInside ? 'circle' : 'crossRot')),
              pointBorderColor: points.map((one) => (one.isInside ? ink.iron : ink.danger)),
              pointBackgroundColor: ink.sheet,
            },
          ],
        }}
        plugins={[bars(points, ink)]}
      />
    </Box>
  );
}

/** What nineteen in twenty stay under, rounded up to fives: a few far bars are cut off rather than flattening all others. */
function mostStayUnder(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return Math.ceil((sorted[Math.floor(sorted.length * 0.95)] ?? 0) / 5) * 5;
}

/** The interval of each forecast, and the line on which all would lie. */
function bars(points: readonly HonestPoint[], ink: ReturnType<typeof useThemeColours>): Plugin<'scatter'> {
  return {
    id: 'bars',
    beforeDatasetsDraw({ ctx, chartArea, scales }) {
      ctx.save();
      ctx.beginPath();
      ctx.rect(chartArea.left, chartArea.top, chartArea.width, chartArea.height);
      ctx.clip();
      ctx.lineWidth = 2;
      ctx.strokeStyle = ink.onTarget;
      const nought = scales.y!.getPixelForValue(0);
      ctx.beginPath();
      ctx.moveTo(chartArea.left, nought);
      ctx.lineTo(chartArea.right, nought);
      ctx.stroke();
      ctx.lineWidth = 3;
      for (const one of points) {
        const x = scales.x!.getPixelForValue(one.leftMin);
        ctx.strokeStyle = `${one.isInside ? ink.act : ink.danger}66`;
        ctx.beginPath();
        ctx.moveTo(x, scales.y!.getPixelForValue(one.earlyMin));
        ctx.lineTo(x, scales.y!.getPixelForValue(one.lateMin));
        ctx.stroke();
      }
      ctx.restore();
    },
  };
}
