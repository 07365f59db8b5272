import type { DeviceView } from '../../../contract';

/** What is wrong with a device, as one sentence; null where nothing is. */
export function deviceTrouble({ status, detail }: Pick<DeviceView, 'status' | 'detail'>): string | null {
  switch (status) {
    case 'waiting':
    case 'sending':
      return null;
    case 'quiet':
      return 'Nothing heard of it: is it switched on, in the pot, in reach?';
    case 'rubbish':
      return `It sends what cannot be${detail ? `: ${detail}` : '.'} Those lines are left out.`;
    case 'flooding':
      return 'It sends more than can be taken in: it is asked to wait, the pot goes on.';
    case 'stuck':
      return 'It shows the very same value all the time: it no longer measures. Nothing is read off it.';
  }
}
