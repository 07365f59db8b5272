import type { DeviceView } from '../../../contract';

/** What is wrong with a device, as one sentence; null where nothing is. */
export function deviceTrouble({ status, detail }: Pick<DeviceView, 'status' | 'detail'>): string | null {
  switch (status) {
    case 'waiting':
    case 'sending':
      return null;
    case 'quiet':
      return 'Nothing heard from it: is it switched on, in the pot, in reach?';
    case 'rubbish':
      return `It sends what cannot be right${detail ? `: ${detail}` : '.'} Those lines are left out.`;
    case 'flooding':
      return 'It sends too much: it is asked to wait, the pot goes on.';
    case 'stuck':
      return 'It shows the very same value all the time: it no longer measures. Its values are not used.';
  }
}
