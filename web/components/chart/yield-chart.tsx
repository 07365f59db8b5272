import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import { Bar } from 'react-chartjs-2';
import styled from 'styled-components';
import { useThemeColours } from '../../theme/use-theme';

Chart.register(BarController, BarElement, CategoryScale, LinearScale);

/** One bar: from where to where it reaches, and whether it is a sum or what leaves. */
export interface YieldBar {
  name: string;
  fromKg: number;
  toKg: number;
  is: 'sum' | 'leaves' | 'wasted';
}

const ROW_PX = 30;

const Box = styled.div<{ $rows: number }>`
  position: relative;
  height: ${({ $rows }) => $rows * ROW_PX + 40}px;
  min-width: 0;
`;

/** From what was bought to what was eaten: each step hangs where the one before left off. */
export function YieldChart({
  bars,
  axis,
  description,
}: {
  bars: readonly YieldBar[];
  /** the words of a tick */
  axis: (kg: number) => string;
  description: string;
}) {
  const ink = useThemeColours();
  const font = { family: "'Atkinson Hyperlegible Next', sans-serif", size: 14 };
  const colours = { sum: ink.iron, leaves: ink.act, wasted: ink.danger };
  return (
    <Box $rows={bars.length}>
      <Bar
        aria-label={description}
        options={{
          indexAxis: 'y',
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          events: [],
          plugins: { legend: { display: false }, tooltip: { enabled: false } },
          scales: {
            x: {
              min: 0,
              grid: { color: ink.line },
              border: { display: false },
              ticks: { color: ink.soft, font, maxTicksLimit: 4, callback: (value) => axis(Number(value)) },
            },
            y: {
              grid: { display: false },
              border: { display: false },
              ticks: { color: ink.iron, font, autoSkip: false },
            },
          },
        }}
        data={{
          labels: bars.map((bar) => bar.name),
          datasets: [
            {
              data: bars.map((bar): [number, number] => [bar.fromKg, bar.toKg]),
              backgroundColor: bars.map((bar) => colours[bar.is]),
              barPercentage: 0.7,
              categoryPercentage: 1,
              minBarLength: 2,
            },
          ],
        }}
      />
    </Box>
  );
}
