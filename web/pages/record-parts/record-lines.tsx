import { Fragment } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { type RecordLineView, type RecordView, sentenceCase } from '../../../contract';
import { RECORD_KINDS } from '../../../core/record';
import { colour, font, media, PRINT, size, space } from '../../theme/tokens';
import {
  commonWords,
  dayAndHour,
  deedWords,
  hourMinute,
  limitWords,
  passWords,
  recordWords,
  temperature,
  weight,
} from '../../words';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  th,
  td {
    padding: 7px ${space.m} 7px 0;
    text-align: left;
    vertical-align: top;
    border-bottom: 1px solid ${colour.line};
  }
  thead th {
    font-weight: 400;
    font-size: ${size.small};
    color: ${colour.soft};
    border-bottom: 2px solid ${colour.iron};
  }
  tbody th {
    padding-top: ${space.l};
    font-family: ${font.title};
    font-size: ${size.lead};
    border-bottom: 2px solid ${colour.line};
  }
  td:first-child {
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
  small {
    display: block;
    font-size: ${size.small};
    color: ${colour.soft};
  }
  b[data-standing='out'] {
    color: ${colour.danger};
  }
  b[data-standing='missing'] {
    color: ${colour.lookIn};
  }
  tr[data-back='true'] td {
    text-decoration: line-through;
    color: ${colour.soft};
  }
  tr[data-back='true'] td.done {
    text-decoration: none;
  }
  ${media.narrow} {
    thead {
      position: absolute;
      clip-path: inset(50%);
    }
    tbody,
    tbody th {
      display: block;
    }
    tr {
      display: grid;
      grid-template-columns: 58px minmax(0, 1fr);
      padding: ${space.s} 0;
      border-bottom: 1px solid ${colour.line};
    }
    tr:has(th) {
      display: block;
      border: 0;
      padding: 0;
    }
    td {
      grid-column: 2;
      padding: 0;
      border: 0;
    }
    td:first-child {
      grid-column: 1;
      grid-row: 1;
    }
    td:empty {
      display: none;
    }
    td.limit,
    td.by {
      font-size: ${size.small};
      color: ${colour.soft};
    }
    td.by small {
      display: inline;
      &::before {
        content: ', ';
      }
    }
    tbody:first-of-type th {
      padding-top: 0;
    }
  }
  ${media.paper} {
    font-size: 9.5pt;
    color: ${PRINT.ink};
    th,
    td {
      padding: 3px 8px 3px 0;
    }
    thead th,
    tbody th,
    small {
      font-size: 9pt;
      color: ${PRINT.soft};
    }
    tbody th {
      padding-top: 10px;
      color: ${PRINT.ink};
    }
    b[data-standing] {
      color: ${PRINT.ink};
    }
    tr {
      break-inside: avoid;
    }
    a {
      color: ${PRINT.ink};
      text-decoration: none;
    }
  }
`;

/** The lines of a record by what they are about, each in the order it happened. */
export function RecordLines({ view }: { view: RecordView }) {
  const { zone, of } = view;
  const at = (ms: number) => (of.kind === 'day' ? hourMinute(ms, zone) : dayAndHour(ms, zone));
  const here = (ms: number) =>
    of.kind === 'day' && ms >= of.fromMs && ms < of.toMs ? hourMinute(ms, zone) : dayAndHour(ms, zone);
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">{recordWords.at}</th>
          <th scope="col">{recordWords.what}</th>
          <th scope="col">{recordWords.measured}</th>
          <th scope="col">{recordWords.limit}</th>
          <th scope="col">{recordWords.byWhom}</th>
          <th scope="col">{recordWords.done}</th>
        </tr>
      </thead>
      {RECORD_KINDS.map((kind) => {
        const lines = view.lines.filter((line) => line.kind === kind);
        if (lines.length === 0) return null;
        return (
          <tbody key={kind}>
            <tr>
              <th colSpan={6} scope="colgroup">
                {recordWords.kinds[kind]}
              </th>
            </tr>
            {lines.map((line, i) => (
              // one check of a thermometer has two lines
              <Line key={`${line.id} ${i}`} line={line} at={at} here={here} zone={zone} />
            ))}
          </tbody>
        );
      })}
    </Table>
  );
}

function Line({
  line,
  at,
  here,
  zone,
}: {
  line: RecordLineView;
  at: (ms: number) => string;
  here: (ms: number) => string;
  zone: string;
}) {
  const { limit, words, thermometer, by } = line;
  const isUnsaid = line.standing === 'missing' && line.kind !== 'received';
  const doubt = thermometer && thermometer.standing !== 'good';
  return (
    <tr data-back={line.takenBack !== null}>
      <td>{at(line.atMs)}</td>
      <td>
        <Subject line={line} />
        {words && <small>{words}</small>}
        {line.receivedAtMs !== null && <small>{recordWords.writtenDown(here(line.receivedAtMs))}</small>}
        {line.isLater && <small>{recordWords.isLater}</small>}
        {line.isChanged && (
          <b data-standing="out">
            {commonWords.caution} {recordWords.isChanged}
          </b>
        )}
      </td>
      <td>
        <Measured line={line} here={here} />
      </td>
      <td className="limit">{limit && limitWords(limit, zone)}</td>
      <td className="by">
        {isUnsaid ? null : sentenceCase(by ?? recordWords.nobodySaid)}
        {thermometer && (
          <small>
            {thermometer.name}
            {doubt && `, ${thermometer.standing === 'off' ? recordWords.readsWrong : recordWords.notChecked}`}
          </small>
        )}
      </td>
      <td className="done">
        <Done line={line} here={here} />
      </td>
    </tr>
  );
}

function Subject({ line: { of } }: { line: RecordLineView }) {
  if (of.kind === 'thermometer') return <Fragment>{sentenceCase(of.name)}</Fragment>;
  const name = of.number === undefined ? of.name : recordWords.ofLot(of.name, of.number);
  return <Link to={of.kind === 'batch' ? `/log/${of.id}` : `/larder/lots/${of.id}`}>{name}</Link>;
}

/** What the thermometer showed, or how much, and how that stands against its limit. */
function Measured({ line, here }: { line: RecordLineView; here: (ms: number) => string }) {
  const { standing, tempC, amount, untilMs, atMs } = line;
  const amountWords =
    amount === null ? null : 'kg' in amount ? weight(amount.kg) : passWords.bowls(amount.portions);
  if (standing === 'missing') {
    const isStretch = line.kind === 'held';
    const words = !isStretch
      ? recordWords.notMeasured
      : untilMs === null
        ? recordWords.since(here(atMs))
        : recordWords.until(here(untilMs));
    return (
      <>
        <b data-standing="missing">{sentenceCase(words)}</b>
        {amountWords && <small>{amountWords}</small>}
      </>
    );
  }
  return (
    <>
      {tempC === null ? amountWords : <b data-standing={standing}>{temperature(tempC, 1)}</b>}
      {recordWords.standings[standing] && (
        <>
          {' '}
          <b data-standing={standing}>{recordWords.standings[standing]}</b>
        </>
      )}
      {tempC !== null && amountWords && <small>{amountWords}</small>}
    </>
  );
}

function Done({ line, here }: { line: RecordLineView; here: (ms: number) => string }) {
  const { takenBack, deed, standing } = line;
  if (takenBack)
    return (
      <>
        {sentenceCase(
          recordWords.undone(here(takenBack.atMs), takenBack.by === null ? '' : `, ${takenBack.by}`),
        )}
      </>
    );
  if (deed) return <>{deedWords(deed.did, here(deed.atMs), deed.by)}</>;
  return standing === 'out' ? <b data-standing="out">{sentenceCase(recordWords.nothingYet)}</b> : null;
}
