import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import { dayBounds, dayOf, type RecordView } from '../../contract';
import { sealDigits } from '../../core/record';
import { Button } from '../components/button';
import { ButtonRow } from '../components/field-row';
import { LinkButton } from '../components/link-button';
import { Empty, Page, PageHead, Waiting } from '../components/page';
import { Caution, Over, Soft, Title } from '../components/text';
import { useMinuteMs } from '../data/clock';
import { useRecord } from '../data/queries';
import { colour, font, media, PRINT, radius, size, space, target } from '../theme/tokens';
import { day as dayWords, recordSummary, recordWords, warmWords } from '../words';
import { CheckCopy } from './record-parts/check-copy';
import { DayMoney } from './record-parts/day-money';
import { RecordLines } from './record-parts/record-lines';
import { SignDay } from './record-parts/sign-day';
import { useKitchenHere } from './use-kitchen-here';

const Head = styled(PageHead)`
  .for-screen {
    ${media.paper} {
      display: none;
    }
  }
`;

const AnotherDay = styled.label`
  display: grid;
  color: ${colour.soft};
  font-size: ${size.small};
  input {
    min-height: ${target.anywhere};
    padding: 0 ${space.s};
    border: 2px solid ${colour.edge};
    border-radius: ${radius.s};
    background: ${colour.sheet};
    color: ${colour.iron};
    font: 400 ${size.text} / 1.5 ${font.text};
  }
`;

const Foot = styled.footer`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: ${space.xl};
  align-items: start;
  section {
    display: grid;
    gap: ${space.s};
    justify-items: start;
  }
  .for-paper {
    display: none;
  }
  ${media.narrow} {
    grid-template-columns: minmax(0, 1fr);
    gap: ${space.l};
  }
  ${media.paper} {
    display: block;
    section {
      display: none;
    }
    .for-paper {
      display: block;
      margin-top: 18pt;
      font-size: 9.5pt;
      color: ${PRINT.ink};
      overflow-wrap: anywhere;
    }
  }
`;

/** A step of a day, ms: over a change of the clock too it lands in the day beside. */
const HALF_DAY_MS = 12 * 3_600_000;

/** The record of a day, or of a lot, on one page: what an inspector asks for. */
export function RecordPlace() {
  const kitchen = useKitchenHere();
  const nowMs = useMinuteMs();
  const [asked] = useSearchParams();
  const lotId = asked.get('lot');
  const today = dayOf(nowMs, kitchen.zone);
  const day = asked.get('day') ?? today;
  const { data: view, error, refetch } = useRecord(lotId ? { lotId } : { day });
  if (!view) return <Waiting error={error} onRetry={refetch} />;
  const { lines, seal, unread, signed } = view;
  const stands = lines.filter((line) => line.takenBack === null);
  const count = (standing: string) => stands.filter((line) => line.standing === standing).length;
  return (
    <Page>
      <RecordHead view={view} today={today} />
      {seal.changed > 0 && <Caution>{recordWords.changed(seal.changed)}</Caution>}
      {unread.length > 0 && <Caution>{recordWords.unread(unread.map((one) => one.name).join(', '))}</Caution>}
      {lines.length === 0 ? (
        <Empty title={recordWords.nothing}>
          <Soft>{recordWords.nothingWasMeasured}</Soft>
        </Empty>
      ) : (
        <>
          <p role="status">{recordSummary(lines.length, count('out'), count('missing'))}</p>
          <RecordLines view={view} />
        </>
      )}
      {view.costs && <DayMoney costs={view.costs} currency={kitchen.currency} />}
      <Foot>
        {view.of.kind === 'day' ? <SignDay key={day} view={view} day={day} kitchen={kitchen} /> : <span />}
        <section aria-label={recordWords.record}>
          <ButtonRow>
            <Button onPress={() => window.print()}>{recordWords.print}</Button>
            <CheckCopy />
            <a href={fileOf(view, 'csv')} download>
              {recordWords.asCsv}
            </a>
            <a href={fileOf(view, 'jsonl')} download>
              {recordWords.asJsonLines}
            </a>
          </ButtonRow>
          {seal.entries > 0 && (
            <Over>
              {recordWords.seal(sealDigits(seal.hash))}. {recordWords.sealOf(seal.entries)}
            </Over>
          )}
          <Over>{recordWords.localCode}</Over>
        </section>
        <div className="for-paper">
          <p>
            {signed ? recordWords.signed(signed.by, dayWords(signed.atMs, view.zone)) : recordWords.signLine}
          </p>
          {seal.entries > 0 && <p>{recordWords.seal(sealDigits(seal.hash))}</p>}
          <p>{recordWords.localCode}</p>
        </div>
      </Foot>
    </Page>
  );
}

function fileOf({ of }: RecordView, ending: 'csv' | 'jsonl'): string {
  return `/api/record/${of.kind === 'day' ? `days/${of.day}` : `lots/${of.lotId}`}/${ending}`;
}

function RecordHead({ view, today }: { view: RecordView; today: string }) {
  const [, setAsked] = useSearchParams();
  const { of, kitchen, zone } = view;
  if (of.kind === 'lot')
    return (
      <Head>
        <div>
          <Title>{recordWords.ofLot(of.name, of.number)}</Title>
          <Soft>
            {recordWords.record}, {kitchen}
          </Soft>
          {of.warmMs !== null && <Soft>{warmWords(of.warmMs)}</Soft>}
        </div>
      </Head>
    );
  const beside = (fromMs: number) => `?day=${dayOf(fromMs, zone)}`;
  return (
    <Head>
      <div>
        <Title>{dayWords(of.fromMs + HALF_DAY_MS, zone)}</Title>
        <Soft>
          {recordWords.record}, {kitchen}
        </Soft>
      </div>
      <ButtonRow className="for-screen">
        <LinkButton to={beside(of.fromMs - HALF_DAY_MS)}>{recordWords.dayBefore}</LinkButton>
        {of.day < today && <LinkButton to={beside(of.toMs + HALF_DAY_MS)}>{recordWords.dayAfter}</LinkButton>}
        <AnotherDay>
          {recordWords.anotherDay}
          <input
            type="date"
            value={of.day}
            max={today}
            onChange={(event) => {
              const next = event.target.value;
              if (dayBounds(next, zone)) setAsked({ day: next });
            }}
          />
        </AnotherDay>
      </ButtonRow>
    </Head>
  );
}
