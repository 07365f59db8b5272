import { useQueryClient } from '@tanstack/react-query';
import { Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { type KitchenView, nextServiceAtMs, span } from '../contract';
import { Boundary } from './components/boundary';
import { CallStrip } from './components/call-strip';
import { Notices } from './components/notices';
import { OutboxNote } from './components/outbox-note';
import { Waiting } from './components/page';
import { RangeBar } from './components/range-bar';
import { Sheet } from './components/sheet';
import { useMinuteMs, useTicking } from './data/clock';
import { decideHere } from './data/decide-here';
import { useLive } from './data/live';
import { setDecider } from './data/outbox';
import { useKitchen } from './data/queries';
import { colour, font, media, size, space, target } from './theme/tokens';
import { commonWords, hourMinute, writeFiguresAs } from './words';

const Frame = styled.div`
  height: 100dvh;
  display: grid;
  grid-template-rows: auto auto 1fr 0 auto;
  ${media.paper} {
    height: auto;
    display: block;
  }
`;

const Top = styled.header`
  grid-row: 1;
  display: flex;
  align-items: center;
  gap: ${space.l};
  padding: 0 28px;
  min-height: 60px;
  border-bottom: 2px solid ${colour.iron};
  ${media.narrow} {
    flex-wrap: wrap;
    gap: 0 ${space.s};
    padding: ${space.s} ${space.m} 0;
  }
  ${media.paper} {
    display: none;
  }
`;

const Name = styled(NavLink)`
  font-family: ${font.title};
  font-weight: 750;
  font-size: 24px;
  color: ${colour.iron};
  text-decoration: none;
  white-space: nowrap;
  ${media.narrow} {
    font-size: 19px;
  }
`;

/** On every page of the invented kitchen: nobody takes it for their own. */
const Demo = styled.span`
  padding: 2px ${space.s};
  border: 2px solid ${colour.lookIn};
  border-radius: 6px;
  color: ${colour.lookIn};
  font-size: ${size.small};
  font-weight: 700;
`;

const Places = styled.nav`
  display: flex;
  gap: ${space.xs};
  a {
    display: grid;
    place-items: center;
    min-height: ${target.anywhere};
    padding: 0 12px;
    color: ${colour.soft};
    text-decoration: none;
    font-size: ${size.text};
  }
  a[aria-current='page'] {
    color: ${colour.iron};
    font-weight: 700;
    box-shadow: inset 0 -3px 0 ${colour.iron};
  }
  ${media.narrow} {
    order: 3;
    width: 100%;
    justify-content: space-between;
    a {
      padding: 0 5px;
    }
  }
`;

const Ahead = styled.p`
  margin-left: auto;
  display: flex;
  align-items: baseline;
  gap: ${space.s};
  color: ${colour.soft};
  white-space: nowrap;
  strong {
    font-family: ${font.title};
    font-size: ${size.title};
    color: ${colour.iron};
  }
  ${media.medium} {
    .words {
      display: none;
    }
  }
  ${media.narrow} {
    strong {
      font-size: ${size.lead};
    }
  }
`;

const Main = styled.main`
  grid-row: 3;
  overflow: auto;
  /* with columns side by side, what comes in one would move what is pressed in another */
  overflow-anchor: none;
  ${media.narrow} {
    overflow-anchor: auto;
  }
  position: relative;
  ${media.paper} {
    overflow: visible;
  }
`;

const Skip = styled.a`
  position: absolute;
  left: -999px;
  &:focus {
    left: ${space.s};
    top: ${space.s};
    z-index: 5;
    padding: ${space.s};
    background: ${colour.sheet};
  }
`;

const Keys = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: ${space.s} ${space.m};
  dt {
    font-weight: 700;
  }
`;

const PLACES = [
  { to: '/', text: commonWords.today, key: '1' },
  { to: '/recipes', text: commonWords.recipes, key: '2' },
  { to: '/larder', text: commonWords.larder, key: '3' },
  { to: '/log', text: commonWords.log, key: '4' },
  { to: '/kitchen', text: commonWords.kitchen, key: '5' },
] as const;

/** What stands around every place: the places along the top, time down to service, the range along the bottom. */
export function Shell() {
  useLive();
  useRules();
  const { data: kitchen, error, refetch } = useKitchen();
  // before any page is drawn: its figures are written as the kitchen has them
  if (kitchen) writeFiguresAs(kitchen);
  const { pathname } = useLocation();
  const [isHelpOpen, setHelpOpen] = useState(false);
  useShortcuts(() => setHelpOpen(true));
  const main = useRef<HTMLElement>(null);
  // another place begins at its top
  useEffect(() => {
    main.current?.scrollTo(0, 0);
  }, [pathname]);
  const hereId = /^\/batches\/([^/]+)/.exec(pathname)?.[1] ?? null;
  return (
    <Frame>
      <Skip href="#place">{commonWords.skipToThePage}</Skip>
      <Top>
        <Name to="/">{commonWords.slowPot}</Name>
        {kitchen?.isDemo && <Demo>{commonWords.demo}</Demo>}
        <Places aria-label={commonWords.pages}>
          {PLACES.map((place) => (
            <NavLink key={place.to} to={place.to} end={place.to === '/'}>
              {place.text}
            </NavLink>
          ))}
        </Places>
        {kitchen && <NextService kitchen={kitchen} />}
      </Top>
      <div>
        <OutboxNote />
        <Notices kitchen={kitchen} />
        {kitchen && (
          <Boundary instead={() => null}>
            <CallStrip kitchen={kitchen} hereId={hereId} />
          </Boundary>
        )}
      </div>
      <Main id="place" data-place={pathname} tabIndex={-1} ref={main}>
        {kitchen ? (
          <Suspense fallback={<Waiting />}>
            <Outlet context={kitchen} />
          </Suspense>
        ) : (
          <Waiting error={error} onRetry={refetch} />
        )}
      </Main>
      <aside id="notes" aria-label={commonWords.howAFigureIsWorked} />
      {kitchen && (
        <Boundary instead={() => <nav aria-label={commonWords.theRange} />}>
          <RangeBar kitchen={kitchen} hereId={hereId} />
        </Boundary>
      )}
      <Sheet title={commonWords.keys} isOpen={isHelpOpen} onClose={() => setHelpOpen(false)}>
        <Keys>
          {PLACES.map((place) => (
            <FragmentOfKey key={place.key} name={place.key} does={commonWords.goTo(place.text)} />
          ))}
          <FragmentOfKey name="p" does={commonWords.planABatch} />
          <FragmentOfKey name="?" does={commonWords.theseKeys} />
          <FragmentOfKey name={commonWords.esc} does={commonWords.closeADialog} />
        </Keys>
      </Sheet>
    </Frame>
  );
}

function FragmentOfKey({ name, does }: { name: string; does: string }) {
  return (
    <>
      <dt>{name}</dt>
      <dd>{does}</dd>
    </>
  );
}

/** The rules are asked in this browser before anything is sent. */
function useRules(): void {
  const client = useQueryClient();
  useEffect(() => setDecider(decideHere(client)), [client]);
}

/** The next train, and the time; drawn anew each minute. */
function NextService({ kitchen }: { kitchen: KitchenView }) {
  const { services, zone, clock } = kitchen;
  const minuteMs = useMinuteMs();
  const next = useMemo(
    () =>
      services
        .map((service) => ({ ...service, atMs: nextServiceAtMs(service, zone, minuteMs) }))
        .sort((a, b) => a.atMs - b.atMs)[0],
    [services, zone, minuteMs],
  );
  const atMs = next?.atMs ?? 0;
  const read = useCallback(
    (nowMs: number) => ({ left: span(atMs - nowMs), hour: hourMinute(nowMs, zone) }),
    [atMs, zone],
  );
  const { left, hour } = useTicking(clock, read);
  if (!next) return null;
  return (
    <Ahead>
      <span className="words">{commonWords.bowlsIn(next.name, next.covers)}</span>
      <strong>{left}</strong>
      <span>{hour}</span>
    </Ahead>
  );
}

/** Single keys, while nothing is being typed and no sheet is open. */
function useShortcuts(onHelp: () => void): void {
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const at = event.target as HTMLElement;
      if (
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        at.closest('input, textarea, [role=dialog], [role=listbox], [role=radiogroup]')
      )
        return;
      const place = PLACES.find((one) => one.key === event.key);
      if (place) navigate(place.to);
      else if (event.key === 'p') navigate('/plan');
      else if (event.key === '?') onHelp();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [navigate, onHelp]);
}
