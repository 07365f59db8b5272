import { Chart, LinearScale, LineController, LineElement, PointElement, ScatterController } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import styled from 'styled-components';
import { useThemeColours } from '../../theme/use-theme';
import { commonWords } from '../../words';

Chart.register(LineController, ScatterController, LineElement, PointElement, LinearScale);

const Box = styled.div`
  position: relative;
  height: 220px;
`;

/** How much of what a food gives has come, over the minutes; the usual time between two upright lines. */
export function DrawChart(props: {
  lines: readonly { name: string; points: readonly { minute: number; percent: number }[] }[];
  usual: { from: number; to: number } | null;
  description: string;
}) {
  const ink = useThemeColours();
  const font = { family: "'Atkinson Hyperlegible Next', sans-serif", size: 14 };
  const colours = [ink.act, ink.danger, ink.onTarget, ink.lookIn];
  const dashes = [[], [7, 4], [2, 3], [10, 3, 2, 3]];
  const most = Math.max(...props.lines.flatMap((line) => line.points.map((point) => point.minute)));
  const upright = (x: number) => ({
    data: [
      { x, y: 0 },
      { x, y: 100 },
    ],
    showLine: true,
    pointRadius: 0,
    borderColor: ink.edge,
    borderWidth: 1.5,
    borderDash: [3, 4],
  });
  return (
    <Box>
      <Scatter
        aria-label={props.description}
        options={{
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          plugins: { legend: { display: false }, tooltip: { enabled: false } },
          scales: {
            x: {
              type: 'linear',
              min: 0,
              max: most,
              ticks: {
                font,
                color: ink.soft,
                callback: (value) => (most > 150 ? `${Number(value) / 60} h` : commonWords.min(value)),
                stepSize: most > 150 ? 60 : 10,
              },
              grid: { display: false },
            },
            y: {
              min: 0,
              max: 100,
              ticks: { font, color: ink.soft, stepSize: 50, callback: (value) => `${value} %` },
              grid: { color: ink.line },
            },
          },
        }}
        data={{
          datasets: [
            ...props.lines.map((line, i) => ({
              data: line.points.map((point) => ({ x: point.minute, y: point.percent })),
              showLine: true,
              pointRadius: 0,
              borderColor: colours[i % colours.length]!,
              borderDash: dashes[i % dashes.length]!,
              borderWidth: 3,
            })),
            ...(props.usual ? [upright(props.usual.from), upright(props.usual.to)] : []),
          ],
        }}
      />
    </Box>
  );
}
